package org.squallnote.server.preference;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.reminder.Wishes;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** How an account wants to be reminded, and when it wants to be left alone. */
@Component
public class KeptWishes extends KeptPreference<Wishes> {

    KeptWishes(PreferenceStore store, Commands commands, JsonMapper json) {
        super(SubjectType.REMINDER_WISHES, "reminders", Wishes.class, Wishes.USUAL, store, commands, json);
    }

    /** Chooses otherwise. */
    public Done save(SignedIn me, UUID commandId, Wishes wishes) {
        return save(me, commandId, "reminder-wishes", "Other reminders", wishes);
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS, Topic.REMINDERS, Topic.INTAKE};
    }
}
