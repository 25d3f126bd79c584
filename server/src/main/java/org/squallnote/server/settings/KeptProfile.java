package org.squallnote.server.settings;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.AccountStore;
import tools.jackson.databind.json.JsonMapper;

/** Name and time zone of an account, and how a change of them is taken back. */
@Component
class KeptProfile extends KeptState<KeptProfile.Profile> {

    private final AccountStore accounts;
    private final Commands commands;

    KeptProfile(AccountStore accounts, Commands commands, JsonMapper json) {
        super(SubjectType.ACCOUNT, Profile.class, json);
        this.accounts = accounts;
        this.commands = commands;
    }

    /** As it stands in the history. */
    record Profile(String name, String zone) {}

    Done save(SignedIn me, UUID commandId, Profile profile) {
        return commands.run(me, commandId, "account", changes -> {
            change(me.accountId(), me.accountId(), profile, changes);
            changes.label("Account: " + profile.name() + ", days counted in " + profile.zone());
        });
    }

    @Override
    protected Profile state(UUID owner, UUID id) {
        Account account = account(owner);
        return new Profile(account.name(), account.zone());
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Profile state) {
        if (state != null) {
            Account old = account(owner);
            accounts.update(new Account(
                    old.id(),
                    old.signIn(),
                    state.name(),
                    old.passwordHash(),
                    state.zone(),
                    old.administrator(),
                    old.createdAt()));
        }
    }

    private Account account(UUID owner) {
        return accounts.byId(owner).orElseThrow(() -> Refusal.notFound("account"));
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS, Topic.INTAKE, Topic.FOLLOW_UPS, Topic.THREADS, Topic.READING};
    }
}
