package org.squallnote.server.account;

import java.util.Locale;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.AccountStore;

/** A new password for somebody who has forgotten theirs, given by whoever runs the installation. */
@Component
public class PasswordReset {

    private final AccountStore accounts;
    private final FirstPassword passwords;
    private final Sessions sessions;

    PasswordReset(AccountStore accounts, FirstPassword passwords, Sessions sessions) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.sessions = sessions;
    }

    /** Makes it, and signs the account out everywhere. A second factor is asked for as before. */
    public String of(String signIn) {
        Account old = accounts.bySignIn(signIn.toLowerCase(Locale.ROOT))
                .orElseThrow(() -> Refusal.invalid("Nobody signs in as " + signIn + ". Nothing was changed."));
        FirstPassword.Made made = passwords.make();
        accounts.update(old.withPassword(made.hash()));
        sessions.endAll(old.id());
        return made.password();
    }
}
