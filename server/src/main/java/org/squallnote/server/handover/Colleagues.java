package org.squallnote.server.handover;

import java.util.List;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.source.SourceStore;

/** The others of this installation, to whom something can be handed over. */
@Component
class Colleagues {

    private final AccountStore accounts;
    private final SourceStore sources;

    Colleagues(AccountStore accounts, SourceStore sources) {
        this.accounts = accounts;
        this.sources = sources;
    }

    /**
     * Somebody who has an account here.
     *
     * @param signIn the name of the account
     * @param addresses the addresses of their mailboxes; none while they have connected none
     */
    record Colleague(String name, String signIn, List<String> addresses) {}

    List<Colleague> of(SignedIn me) {
        return accounts.all().stream()
                .filter(account -> !account.id().equals(me.accountId()))
                .map(this::colleague)
                .toList();
    }

    private Colleague colleague(Account account) {
        return new Colleague(
                account.name(),
                account.signIn(),
                sources.of(account.id()).stream()
                        .filter(source -> source.kind() == SourceKind.MAIL)
                        .map(Source::address)
                        .distinct()
                        .toList());
    }
}
