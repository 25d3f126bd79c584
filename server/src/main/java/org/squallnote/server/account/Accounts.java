package org.squallnote.server.account;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.squallnote.core.account.Account;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.account.AccountStore;

/** The accounts of this installation. */
@Component
class Accounts {

    private final AccountStore store;
    private final PasswordRules passwords;
    private final TransactionTemplate transaction;
    private final UuidV7 ids;
    private final Clock clock;

    Accounts(AccountStore store, PasswordRules passwords, TransactionTemplate transaction, UuidV7 ids, Clock clock) {
        this.store = store;
        this.passwords = passwords;
        this.transaction = transaction;
        this.ids = ids;
        this.clock = clock;
    }

    boolean none() {
        return store.count() == 0;
    }

    Optional<Account> byId(UUID id) {
        return store.byId(id);
    }

    List<Account> all() {
        return store.all();
    }

    /** Makes one; the first one administers. Two at once cannot both be the first. */
    synchronized Account add(boolean mayAdd, String name, String signInName, String password, String zone) {
        boolean first = none();
        if (!first && !mayAdd) {
            throw Refusal.forbidden("Only the administrator of this installation can add accounts. Ask them for one.");
        }
        String signIn = signInName.strip().toLowerCase(Locale.ROOT);
        if (store.bySignIn(signIn).isPresent()) {
            throw Refusal.field("signIn", "Somebody already signs in as " + signIn + ". Choose another name.");
        }
        Account account = new Account(
                ids.next(),
                signIn,
                name.strip(),
                passwords.hashed("password", password, List.of(signIn, name)),
                ZoneName.known(zone),
                first,
                clock.instant());
        transaction.executeWithoutResult(status -> store.insert(account));
        return account;
    }

    /** Gives an account another password. */
    Account withPassword(Account old, String password) {
        Account changed =
                old.withPassword(passwords.hashed("newPassword", password, List.of(old.signIn(), old.name())));
        transaction.executeWithoutResult(status -> store.update(changed));
        return changed;
    }
}
