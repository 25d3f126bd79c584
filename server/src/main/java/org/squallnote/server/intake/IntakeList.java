package org.squallnote.server.intake;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.intake.IntakeCount;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.reminder.Quiet;
import org.squallnote.core.time.QuickChoices;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.preference.KeptWishes;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.plan.PlanStore;
import org.squallnote.store.source.SourceStore;

/** Gathers what waits in Intake. */
@Component
class IntakeList {

    /** The list shows this many of each heap at most: of what asks those that are wanted first, of the others the newest. */
    private static final int MOST_OF_A_HEAP = 200;

    private final MessageStore messages;
    private final SourceStore sources;
    private final WorkingTimes workingTimes;
    private final KeptWishes wishes;
    private final PlanStore plans;
    private final Clock clock;

    IntakeList(
            MessageStore messages,
            SourceStore sources,
            WorkingTimes workingTimes,
            KeptWishes wishes,
            PlanStore plans,
            Clock clock) {
        this.wishes = wishes;
        this.plans = plans;
        this.messages = messages;
        this.sources = sources;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * What waits, at one moment.
     *
     * @param counts how many of each heap, also of those that are not shown
     * @param rows heap by heap, in the order of each
     * @param putOff what comes back on a later day
     * @param sourceNames by id
     * @param roomNames by the room's id
     * @param heldBack what has come since somebody last looked, and is told of when they look again
     */
    record Waiting(
            Map<Heap, Integer> counts,
            List<IntakeRow> rows,
            List<IntakeRow> putOff,
            List<QuickChoices.Choice> quickChoices,
            Map<UUID, String> sourceNames,
            Map<String, String> roomNames,
            WorkingTime workingTime,
            Instant now,
            LocalDateTime localNow,
            Optional<HeldBack> heldBack) {}

    /**
     * What is not told of yet.
     *
     * @param next when it is; absent where nobody can say
     */
    record HeldBack(int count, LocalDateTime since, Optional<LocalDateTime> next) {}

    Waiting of(SignedIn me) {
        UUID owner = me.accountId();
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, me.zoneId());
        WorkingTime workingTime = workingTimes.of(owner);
        Map<UUID, String> sourceNames = new HashMap<>();
        sources.of(owner).forEach(source -> sourceNames.put(source.id(), source.name()));
        Map<String, String> roomNames = new HashMap<>();
        sources.allRooms(owner).forEach(room -> roomNames.put(room.roomId(), room.name()));
        Map<Heap, Integer> counts = new EnumMap<>(Heap.class);
        List<IntakeRow> rows = new ArrayList<>();
        for (Heap heap : Heap.values()) {
            counts.put(heap, 0);
            rows.addAll(
                    heap.byWanted()
                            ? messages.intakeByWanted(owner, heap, today, MOST_OF_A_HEAP)
                            : messages.intake(owner, heap, today, MOST_OF_A_HEAP));
        }
        for (IntakeCount count : messages.intakeCounts(owner, today)) {
            counts.merge(count.heap(), count.count(), Integer::sum);
        }
        return new Waiting(
                counts,
                rows,
                messages.putOffBeyond(owner, today),
                QuickChoices.on(today, workingTime),
                sourceNames,
                roomNames,
                workingTime,
                now,
                LocalDateTime.ofInstant(now, me.zoneId()),
                heldBack(me, workingTime, rows, now));
    }

    private Optional<HeldBack> heldBack(SignedIn me, WorkingTime workingTime, List<IntakeRow> rows, Instant now) {
        UUID owner = me.accountId();
        Quiet quiet = wishes.of(owner).quiet();
        LocalDateTime local = LocalDateTime.ofInstant(now, me.zoneId());
        Optional<LocalDateTime> working =
                plans.underWay(owner).map(stint -> LocalDateTime.ofInstant(stint.startedAt(), me.zoneId()));
        return quiet.heldSince(local, working, workingTime).map(since -> {
            Instant from = since.atZone(me.zoneId()).toInstant();
            int come = messages.intakeSince(owner, LocalDate.ofInstant(now, me.zoneId()), from);
            int told = (int) rows.stream()
                    .filter(row -> row.sentAt().isAfter(from))
                    .filter(row -> quiet.letsThrough(row.fromAddress(), row.subject(), row.about()))
                    .count();
            return new HeldBack(come - told, since, quiet.nextSitting(local, workingTime));
        });
    }
}
