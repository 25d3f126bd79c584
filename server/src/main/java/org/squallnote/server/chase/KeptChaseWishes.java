package org.squallnote.server.chase;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseWishes;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** When an account reminds others, and with which words; a change of it works all chase dates out again. */
@Component
public class KeptChaseWishes extends KeptState<ChaseWishes> {

    private static final String NAME = "chasing";

    private final PreferenceStore store;
    private final ChaseDates dates;
    private final Commands commands;
    private final JsonMapper json;

    KeptChaseWishes(PreferenceStore store, ChaseDates dates, Commands commands, JsonMapper json) {
        super(SubjectType.CHASE_WISHES, ChaseWishes.class, json);
        this.store = store;
        this.dates = dates;
        this.commands = commands;
        this.json = json;
    }

    static ChaseWishes of(PreferenceStore store, UUID owner, JsonMapper json) {
        return store.of(owner, NAME)
                .map(text -> json.readValue(text, ChaseWishes.class))
                .orElse(ChaseWishes.USUAL);
    }

    /** What an account has chosen. */
    public ChaseWishes of(UUID owner) {
        return of(store, owner, json);
    }

    /** Chooses otherwise. */
    public Done save(SignedIn me, UUID commandId, ChaseWishes wishes) {
        return commands.run(me, commandId, "chase-wishes", changes -> {
            change(me.accountId(), me.accountId(), wishes, changes);
            changes.label("Reminding others otherwise");
        });
    }

    @Override
    protected ChaseWishes state(UUID owner, UUID id) {
        return of(owner);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable ChaseWishes state) {
        ChaseWishes before = of(owner);
        ChaseWishes now = state == null ? ChaseWishes.USUAL : state;
        store.save(owner, NAME, json.writeValueAsString(now));
        if (!before.policy().equals(now.policy())) {
            dates.workOutAgain(owner);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS, Topic.THREADS};
    }
}
