package org.squallnote.server.attached;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Relation;
import org.squallnote.core.followup.Waiting;
import org.squallnote.server.command.Changes;
import org.squallnote.server.followup.EndingFollowUps;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.followup.AttachedStore;
import org.squallnote.store.followup.FollowUpStore;

/** Holds back what needs another follow-up first, and lets it come when that has ended. */
@Component
class HeldBack implements EndingFollowUps {

    private final AttachedStore relations;
    private final FollowUpStore store;
    /** Follow-ups know who is told of their end, so that they cannot be there before. */
    private final ObjectProvider<FollowUps> followUps;

    private final WorkingTimes workingTimes;
    private final Clock clock;

    HeldBack(
            AttachedStore relations,
            FollowUpStore store,
            ObjectProvider<FollowUps> followUps,
            WorkingTimes workingTimes,
            Clock clock) {
        this.relations = relations;
        this.store = store;
        this.followUps = followUps;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /** Looks again whether one is held back. */
    void review(UUID owner, UUID id, String lastEnded, Changes changes) {
        Optional<FollowUp> found = store.byId(owner, id).filter(each -> each.state() == FollowUpState.OPEN);
        if (found.isEmpty()) {
            return;
        }
        FollowUp followUp = found.get();
        List<UUID> needed = relations.relations(owner, id).stream()
                .filter(each -> each.kind() == Relation.Kind.NEEDED_FIRST
                        && each.followUpId().equals(id))
                .map(Relation::otherId)
                .toList();
        List<UUID> open = needed.isEmpty()
                ? List.of()
                : store.byIds(owner, needed).stream()
                        .filter(each -> each.state() == FollowUpState.OPEN)
                        .map(FollowUp::id)
                        .sorted()
                        .toList();
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, workingTimes.of(owner).zone());
        Waiting waiting = Waiting.needing(followUp.waiting(), open, lastEnded, today, now);
        if (!Objects.equals(waiting, followUp.waiting())) {
            followUps.getObject().changeWithin(owner, id, each -> each.waitingFor(waiting), changes);
        }
    }

    @Override
    public Optional<String> ended(UUID owner, UUID followUpId, Changes changes) {
        String title = store.byId(owner, followUpId).map(FollowUp::title).orElse("");
        followers(owner, followUpId).forEach(each -> review(owner, each, title, changes));
        return Optional.empty();
    }

    @Override
    public void changed(UUID owner, UUID followUpId, Changes changes) {
        followers(owner, followUpId).forEach(each -> review(owner, each, "", changes));
    }

    private List<UUID> followers(UUID owner, UUID id) {
        return relations.relations(owner, id).stream()
                .filter(each -> each.kind() == Relation.Kind.NEEDED_FIRST
                        && each.otherId().equals(id))
                .map(Relation::followUpId)
                .toList();
    }
}
