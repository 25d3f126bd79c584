package org.squallnote.server.spent;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.spent.TimeWishes;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.preference.KeptPreference;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** How an account wants spent time rounded and billed. */
@Component
class KeptTimeWishes extends KeptPreference<TimeWishes> {

    KeptTimeWishes(PreferenceStore store, Commands commands, JsonMapper json) {
        super(SubjectType.TIME_WISHES, "time", TimeWishes.class, TimeWishes.USUAL, store, commands, json);
    }

    Done save(SignedIn me, UUID commandId, TimeWishes wishes) {
        return save(me, commandId, "time-wishes", "Time rounded and billed otherwise", wishes);
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS, Topic.PLAN};
    }
}
