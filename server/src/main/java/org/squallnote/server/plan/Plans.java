package org.squallnote.server.plan;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.plan.Band;
import org.squallnote.core.plan.Planned;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.plan.PlanStore;
import tools.jackson.databind.json.JsonMapper;

/** Plans follow-ups for days. */
@Component
class Plans extends KeptState<Planned> {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final PlanStore store;
    private final FollowUpStore followUps;
    private final Commands commands;

    Plans(PlanStore store, FollowUpStore followUps, Commands commands, JsonMapper json) {
        super(SubjectType.PLAN, Planned.class, json);
        this.store = store;
        this.followUps = followUps;
        this.commands = commands;
    }

    /** One for a day. */
    record Wish(UUID followUpId, LocalDate day) {}

    /** Plans each for its day, where it does not stand there already; what was there by hand keeps nothing of its place. */
    Done plan(SignedIn me, UUID commandId, List<Wish> wishes) {
        return commands.run(me, commandId, "plan", changes -> {
            for (Wish wish : wishes) {
                FollowUp followUp = open(me, wish.followUpId());
                Optional<Planned> before = store.of(me.accountId(), wish.followUpId());
                if (before.filter(planned -> planned.day().equals(wish.day())).isEmpty()) {
                    write(me, Planned.on(followUp.id(), wish.day()), changes);
                }
            }
            changes.label(label(me, wishes));
        });
    }

    private String label(SignedIn me, List<Wish> wishes) {
        Wish first = wishes.get(0);
        return wishes.size() == 1
                ? "For " + DAY.format(first.day()) + ": "
                        + open(me, first.followUpId()).title()
                : wishes.stream().allMatch(wish -> wish.day().equals(first.day()))
                        ? wishes.size() + " follow-ups for " + DAY.format(first.day())
                        : wishes.size() + " follow-ups moved";
    }

    /** Takes some out of their days. */
    Done takeOut(SignedIn me, UUID commandId, List<UUID> ids) {
        return commands.run(me, commandId, "plan", changes -> {
            for (UUID id : ids) {
                open(me, id);
                change(me.accountId(), id, null, changes);
            }
            changes.label(
                    ids.size() == 1
                            ? "Not planned: " + open(me, ids.get(0)).title()
                            : ids.size() + " follow-ups not planned");
        });
    }

    /** Puts some into a band of a day, in this order. */
    Done order(SignedIn me, UUID commandId, LocalDate day, Band band, List<UUID> inOrder) {
        return commands.run(me, commandId, "plan-order", changes -> {
            for (int rank = 0; rank < inOrder.size(); rank++) {
                UUID id = inOrder.get(rank);
                open(me, id);
                Planned planned = store.of(me.accountId(), id)
                        .filter(before -> before.day().equals(day))
                        .orElseGet(() -> Planned.on(id, day));
                write(me, planned.placed(band, rank), changes);
            }
            changes.label("Another order for " + DAY.format(day));
        });
    }

    /** Gives one a time of its own in the day, or none. */
    Done startAt(
            SignedIn me, UUID commandId, UUID id, LocalDate day, @Nullable LocalTime time, @Nullable Integer minutes) {
        return commands.run(me, commandId, "plan-time", changes -> {
            FollowUp followUp = open(me, id);
            Planned planned = store.of(me.accountId(), id)
                    .filter(before -> before.day().equals(day))
                    .orElseGet(() -> Planned.on(id, day));
            write(me, planned.startingAt(time).lasting(time == null ? null : minutes), changes);
            changes.label(
                    time == null
                            ? "At no set time: " + followUp.title()
                            : "At " + time + (minutes == null ? "" : " for " + minutes + " min") + " on "
                                    + DAY.format(day) + ": " + followUp.title());
        });
    }

    /** Moves a block, or takes its time, as part of a command. */
    void moveWithin(UUID owner, UUID id, @Nullable LocalTime to, Changes changes) {
        store.of(owner, id).ifPresent(planned -> change(owner, id, planned.startingAt(to), changes));
    }

    private void write(SignedIn me, Planned planned, Changes changes) {
        if (store.of(me.accountId(), planned.followUpId())
                .filter(planned::equals)
                .isEmpty()) {
            change(me.accountId(), planned.followUpId(), planned, changes);
        }
    }

    private FollowUp open(SignedIn me, UUID id) {
        FollowUp followUp = followUps.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("follow-up"));
        if (followUp.state() != FollowUpState.OPEN) {
            throw Refusal.conflict(
                    "\"" + followUp.title() + "\" has ended. Open it again to plan it. Nothing was changed.");
        }
        return followUp;
    }

    @Override
    protected @Nullable Planned state(UUID owner, UUID id) {
        return store.of(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Planned state) {
        store.delete(owner, id);
        if (state != null) {
            store.insert(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.PLAN};
    }
}
