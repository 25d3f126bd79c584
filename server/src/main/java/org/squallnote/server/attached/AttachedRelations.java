package org.squallnote.server.attached;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Relation;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.followup.AttachedStore;
import tools.jackson.databind.json.JsonMapper;

/** What follow-ups have to do with each other. What needs another one first is out of sight until that has ended. */
@Component
class AttachedRelations extends KeptState<Relation> {

    private static final int MOST = 50;

    private final AttachedStore store;
    private final FollowUps followUps;
    private final HeldBack heldBack;
    private final Commands commands;

    AttachedRelations(AttachedStore store, FollowUps followUps, HeldBack heldBack, Commands commands, JsonMapper json) {
        super(SubjectType.FOLLOW_UP_RELATION, Relation.class, json);
        this.store = store;
        this.followUps = followUps;
        this.heldBack = heldBack;
        this.commands = commands;
    }

    List<Relation> of(UUID owner, UUID followUpId) {
        return store.relations(owner, followUpId);
    }

    Done relate(SignedIn me, UUID commandId, Relation relation) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "follow-ups-related", changes -> {
            String one = followUps.title(owner, relation.followUpId());
            String other = followUps.title(owner, relation.otherId());
            check(owner, relation);
            change(owner, relation.id(), relation, changes);
            if (relation.kind() == Relation.Kind.NEEDED_FIRST) {
                heldBack.review(owner, relation.followUpId(), "", changes);
                changes.label(other + " is needed first for " + one);
            } else {
                changes.label(one + " and " + other + " belong together");
            }
        });
    }

    private void check(UUID owner, Relation relation) {
        List<Relation> there = store.relations(owner, relation.followUpId());
        if (relation.followUpId().equals(relation.otherId())) {
            throw Refusal.invalid("A follow-up has nothing to do with itself. Nothing was changed.");
        }
        if (there.stream()
                .anyMatch(each -> !each.id().equals(relation.id())
                        && (each.otherId().equals(relation.otherId())
                                || each.followUpId().equals(relation.otherId())))) {
            throw Refusal.conflict("These two have to do with each other already. Nothing was changed.");
        }
        if (there.size() >= MOST) {
            throw Refusal.invalid("This one has to do with " + MOST + " others already. Nothing was changed.");
        }
        if (relation.kind() == Relation.Kind.NEEDED_FIRST
                && Relation.circles(store.allRelations(owner), relation.followUpId(), relation.otherId())) {
            throw Refusal.conflict("Then each would have to be done before the other. Nothing was changed.");
        }
    }

    Done remove(SignedIn me, UUID commandId, UUID followUpId, UUID id) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "follow-ups-unrelated", changes -> {
            Relation relation = store.relation(owner, id)
                    .filter(each -> each.followUpId().equals(followUpId)
                            || each.otherId().equals(followUpId))
                    .orElseThrow(() -> Refusal.notFound("relation"));
            change(owner, id, null, changes);
            heldBack.review(owner, relation.followUpId(), "", changes);
            changes.label("They have nothing to do with each other any more");
        });
    }

    @Override
    protected @Nullable Relation state(UUID owner, UUID id) {
        return store.relation(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Relation state) {
        store.deleteRelation(owner, id);
        if (state != null) {
            store.insertRelation(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.FOLLOW_UPS};
    }
}
