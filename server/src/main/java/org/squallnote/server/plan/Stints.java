package org.squallnote.server.plan;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.plan.Stint;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.followup.EndingFollowUps;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.plan.PlanStore;
import tools.jackson.databind.json.JsonMapper;

/** The time that is spent on follow-ups. One is worked at at a time; the clock of the one before stops by itself. */
@Component
public class Stints extends KeptState<Stint> implements EndingFollowUps {

    private final PlanStore store;
    private final FollowUpStore followUps;
    private final Commands commands;
    private final UuidV7 ids;
    private final Clock clock;

    Stints(PlanStore store, FollowUpStore followUps, Commands commands, UuidV7 ids, Clock clock, JsonMapper json) {
        super(SubjectType.STINT, Stint.class, json);
        this.store = store;
        this.followUps = followUps;
        this.commands = commands;
        this.ids = ids;
        this.clock = clock;
    }

    Done start(SignedIn me, UUID commandId, UUID followUpId) {
        return commands.run(me, commandId, "work-started", changes -> {
            FollowUp followUp = get(me, followUpId);
            Instant now = clock.instant();
            Optional<Stint> before = store.underWay(me.accountId());
            if (before.filter(stint -> stint.followUpId().equals(followUpId)).isPresent()) {
                throw Refusal.conflict("You are working at this one already. Nothing was changed.");
            }
            before.ifPresent(stint -> end(me.accountId(), stint, now, changes));
            write(me.accountId(), new Stint(ids.next(), followUpId, now, null, null), changes);
            changes.label("Working at: " + followUp.title());
        });
    }

    Done stop(SignedIn me, UUID commandId, UUID followUpId) {
        return commands.run(me, commandId, "work-stopped", changes -> {
            FollowUp followUp = get(me, followUpId);
            Stint running = store.underWay(me.accountId())
                    .filter(stint -> stint.followUpId().equals(followUpId))
                    .orElseThrow(() -> Refusal.conflict("You are not working at this one. Nothing was changed."));
            Instant now = clock.instant();
            end(me.accountId(), running, now, changes);
            changes.label("Worked " + running.minutes(now) + " min at: " + followUp.title());
        });
    }

    /**
     * Time that was spent without the clock.
     *
     * @param from when it began; absent where it was up to now
     */
    Done add(SignedIn me, UUID commandId, UUID followUpId, int minutes, Optional<LocalDateTime> from) {
        return commands.run(me, commandId, "work-added", changes -> {
            FollowUp followUp = get(me, followUpId);
            Instant now = clock.instant();
            Duration length = Duration.ofMinutes(minutes);
            Instant begun =
                    from.map(local -> local.atZone(me.zoneId()).toInstant()).orElseGet(() -> now.minus(length));
            write(me.accountId(), new Stint(ids.next(), followUpId, begun, over(begun, length, now), null), changes);
            changes.label("Worked " + minutes + " min at: " + followUp.title());
        });
    }

    /** Puts right when something was worked at and for how long; one under way ends by it. */
    public Done correct(SignedIn me, UUID commandId, UUID stintId, LocalDateTime from, int minutes) {
        return commands.run(me, commandId, "work-corrected", changes -> {
            Stint stint = stint(me, stintId);
            Instant now = clock.instant();
            Instant begun = from.atZone(me.zoneId()).toInstant();
            Instant over = over(begun, Duration.ofMinutes(minutes), now);
            write(me.accountId(), new Stint(stintId, stint.followUpId(), begun, over, now), changes);
            changes.label("Time corrected to " + minutes + " min instead of " + stint.minutes(now) + ": "
                    + get(me, stint.followUpId()).title());
        });
    }

    /** Takes a time away that was none. */
    public Done remove(SignedIn me, UUID commandId, UUID stintId) {
        return commands.run(me, commandId, "work-removed", changes -> {
            Stint stint = stint(me, stintId);
            change(me.accountId(), stintId, null, changes);
            changes.label("Not worked " + stint.minutes(clock.instant()) + " min at: "
                    + get(me, stint.followUpId()).title());
        });
    }

    private static Instant over(Instant begun, Duration length, Instant now) {
        Instant over = begun.plus(length);
        if (over.isAfter(now)) {
            throw Refusal.field("minutes", "That would end in the time to come. Nothing was changed.");
        }
        return over;
    }

    private Stint stint(SignedIn me, UUID id) {
        return store.stint(me.accountId(), id).orElseThrow(() -> Refusal.notFound("time"));
    }

    @Override
    public Optional<String> ended(UUID owner, UUID followUpId, Changes changes) {
        store.underWay(owner)
                .filter(stint -> stint.followUpId().equals(followUpId))
                .ifPresent(stint -> end(owner, stint, clock.instant(), changes));
        return Optional.empty();
    }

    private void end(UUID owner, Stint running, Instant at, Changes changes) {
        write(
                owner,
                new Stint(running.id(), running.followUpId(), running.startedAt(), at, running.correctedAt()),
                changes);
    }

    private void write(UUID owner, Stint stint, Changes changes) {
        change(owner, stint.id(), stint, changes);
    }

    private FollowUp get(SignedIn me, UUID id) {
        return followUps.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("follow-up"));
    }

    @Override
    protected @Nullable Stint state(UUID owner, UUID id) {
        return store.stint(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Stint state) {
        store.deleteStint(owner, id);
        if (state != null) {
            store.insertStint(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.PLAN};
    }
}
