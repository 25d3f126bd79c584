package org.squallnote.server.followup;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.HandOrder;
import org.squallnote.core.followup.HandRank;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.store.followup.ArrangementStore;
import tools.jackson.databind.json.JsonMapper;

/** Where follow-ups stand that somebody ordered by hand. */
@Component
class HandPlaces extends KeptState<HandRank> {

    private final ArrangementStore store;
    private final FollowUps followUps;
    private final Commands commands;

    HandPlaces(ArrangementStore store, FollowUps followUps, Commands commands, JsonMapper json) {
        super(SubjectType.HAND_ORDER, HandRank.class, json);
        this.store = store;
        this.followUps = followUps;
        this.commands = commands;
    }

    /**
     * Puts some elsewhere.
     *
     * @param group all of their group, as they stand after that
     */
    Done move(SignedIn me, UUID commandId, List<UUID> group, List<UUID> moved) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "follow-ups-ordered", changes -> {
            List<UUID> mine =
                    followUps.get(owner, group).stream().map(FollowUp::id).toList();
            Map<UUID, Long> ranks = new HashMap<>();
            store.ranks(owner).forEach(each -> ranks.put(each.followUpId(), each.rank()));
            HandOrder.moved(mine, Set.copyOf(moved), ranks)
                    .forEach((id, rank) -> change(owner, id, new HandRank(id, rank), changes));
            changes.label(
                    moved.size() == 1
                            ? "Moved: " + followUps.get(owner, moved.get(0)).title()
                            : "Moved: " + moved.size() + " follow-ups");
        });
    }

    @Override
    protected @Nullable HandRank state(UUID owner, UUID id) {
        return store.rank(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable HandRank state) {
        store.deleteRank(owner, id);
        if (state != null) {
            store.insertRank(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.FOLLOW_UPS};
    }
}
