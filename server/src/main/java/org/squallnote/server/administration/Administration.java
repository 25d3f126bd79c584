package org.squallnote.server.administration;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.springframework.stereotype.Component;
import org.squallnote.server.account.PasswordReset;
import org.squallnote.store.account.AccountStore;

/** What an administrator does at the machine itself, by command. */
@Component
public class Administration {

    private final AccountStore accounts;
    private final PasswordReset passwords;
    private final InstallationBackup backup;

    Administration(AccountStore accounts, PasswordReset passwords, InstallationBackup backup) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.backup = backup;
    }

    /** A line for each account. */
    public List<String> accounts() {
        return accounts.all().stream()
                .map(account -> account.signIn() + "  " + account.name() + "  " + account.zone()
                        + (account.administrator() ? "  administrator" : ""))
                .toList();
    }

    /** Gives somebody a new password, and says it. */
    public String newPassword(String signIn) {
        return passwords.of(signIn);
    }

    /** Writes everything but the key. */
    public void backUp(OutputStream out) throws IOException {
        backup.write(out);
    }
}
