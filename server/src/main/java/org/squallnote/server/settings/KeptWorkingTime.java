package org.squallnote.server.settings;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.settings.SettingsStore;
import tools.jackson.databind.json.JsonMapper;

/** How an account works, and how a change of that is taken back. */
@Component
class KeptWorkingTime extends KeptState<AccountSettings> {

    private final SettingsStore store;
    private final WorkingTimes workingTimes;
    private final Commands commands;

    KeptWorkingTime(SettingsStore store, WorkingTimes workingTimes, Commands commands, JsonMapper json) {
        super(SubjectType.WORKING_TIME, AccountSettings.class, json);
        this.store = store;
        this.workingTimes = workingTimes;
        this.commands = commands;
    }

    /** Saves; what was read with another calendar is read again in the background. */
    Done save(SignedIn me, UUID commandId, AccountSettings settings) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "working-time", changes -> {
            change(owner, owner, settings, changes);
            changes.label("Working time saved; messages are read again with it");
        });
    }

    @Override
    protected AccountSettings state(UUID owner, UUID id) {
        return workingTimes.settings(owner);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable AccountSettings state) {
        if (state != null) {
            store.save(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS, Topic.INTAKE, Topic.FOLLOW_UPS, Topic.THREADS, Topic.READING, Topic.PLAN};
    }
}
