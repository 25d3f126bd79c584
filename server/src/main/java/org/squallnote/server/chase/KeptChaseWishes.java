package org.squallnote.server.chase;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseWishes;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.preference.KeptPreference;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** When an account chases others, and with which words. */
@Component
public class KeptChaseWishes extends KeptPreference<ChaseWishes> {

    /** An account chases others after other numbers of days. */
    record PolicyChanged(UUID owner) {}

    private final ApplicationEventPublisher events;

    KeptChaseWishes(PreferenceStore store, Commands commands, JsonMapper json, ApplicationEventPublisher events) {
        super(SubjectType.CHASE_WISHES, "chasing", ChaseWishes.class, ChaseWishes.USUAL, store, commands, json);
        this.events = events;
    }

    /** Chooses otherwise. */
    public Done save(SignedIn me, UUID commandId, ChaseWishes wishes) {
        return save(me, commandId, "chase-wishes", "Chasing others otherwise", wishes);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable ChaseWishes state) {
        ChaseWishes before = of(owner);
        super.write(owner, id, state);
        ChaseWishes now = of(owner);
        if (!before.policy().equals(now.policy()) || !before.exceptions().equals(now.exceptions())) {
            events.publishEvent(new PolicyChanged(owner));
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS, Topic.THREADS};
    }
}
