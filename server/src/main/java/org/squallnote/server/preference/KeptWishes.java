package org.squallnote.server.preference;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.reminder.Wishes;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** How an account wants to be reminded, and when it wants to be left alone. */
@Component
public class KeptWishes extends KeptState<Wishes> {

    private static final String NAME = "reminders";

    private final PreferenceStore store;
    private final Commands commands;
    private final JsonMapper json;

    KeptWishes(PreferenceStore store, Commands commands, JsonMapper json) {
        super(SubjectType.REMINDER_WISHES, Wishes.class, json);
        this.store = store;
        this.commands = commands;
        this.json = json;
    }

    /** What an account has chosen. */
    public Wishes of(UUID owner) {
        return store.of(owner, NAME)
                .map(text -> json.readValue(text, Wishes.class))
                .orElse(Wishes.USUAL);
    }

    /** Chooses otherwise. */
    public Done save(SignedIn me, UUID commandId, Wishes wishes) {
        return commands.run(me, commandId, "reminder-wishes", changes -> {
            change(me.accountId(), me.accountId(), wishes, changes);
            changes.label("Other reminders");
        });
    }

    @Override
    protected Wishes state(UUID owner, UUID id) {
        return of(owner);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Wishes state) {
        store.save(owner, NAME, json.writeValueAsString(state == null ? Wishes.USUAL : state));
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS, Topic.REMINDERS, Topic.INTAKE};
    }
}
