package org.squallnote.server.plan;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.plan.Block;
import org.squallnote.core.plan.BlockWritten;
import org.squallnote.core.time.Busy;
import org.squallnote.formats.calendar.CalendarWriter;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.plan.PlanStore;

/**
 * Keeps blocks out of the way of meetings, and in the calendar that was chosen for them. It compares what is with what shall
 * be, whatever has changed: a plan, its undo, a title, a meeting, the calendar itself.
 */
@Component
class BlockKeeper {

    private static final Logger LOG = LoggerFactory.getLogger(BlockKeeper.class);
    private static final int LONGEST = 2000;

    private final PlanStore plans;
    private final FollowUpStore followUps;
    private final CalendarStore calendarStore;
    private final Calendars calendars;
    private final BlockCalendar chosen;
    private final Plans planning;
    private final Commands commands;
    private final Outbox outbox;
    private final OwnerLocks locks;
    private final UuidV7 ids;
    private final Clock clock;
    private final Set<Met> movedBefore = ConcurrentHashMap.newKeySet();

    BlockKeeper(
            PlanStore plans,
            FollowUpStore followUps,
            CalendarStore calendarStore,
            Calendars calendars,
            BlockCalendar chosen,
            Plans planning,
            Commands commands,
            Outbox outbox,
            OwnerLocks locks,
            UuidV7 ids,
            Clock clock) {
        this.plans = plans;
        this.followUps = followUps;
        this.calendarStore = calendarStore;
        this.calendars = calendars;
        this.chosen = chosen;
        this.planning = planning;
        this.commands = commands;
        this.outbox = outbox;
        this.locks = locks;
        this.ids = ids;
        this.clock = clock;
    }

    /** A block that has made way for a meeting once. */
    private record Met(Block block, Busy meeting) {}

    @Scheduled(initialDelay = 2_000, fixedDelayString = "${squallnote.blocks.every:2000}")
    void look() {
        for (UUID owner : plans.ownersOfBlocks()) {
            try {
                look(owner);
            } catch (RuntimeException e) {
                LOG.warn("The blocks of {} could not be looked at", owner, e);
            }
        }
    }

    private void look(UUID owner) {
        ZoneId zone = calendars.workingTime(owner).zone();
        Instant now = clock.instant();
        Map<UUID, FollowUp> open = new HashMap<>();
        followUps.open(owner).forEach(each -> open.put(each.id(), each));
        movedBefore.removeIf(each -> !each.block().to(zone).isAfter(now));
        List<Block> blocks = blocks(owner, open, zone, now);
        if (makeWay(owner, blocks, open, now)) {
            blocks = blocks(owner, open, zone, now);
        }
        write(owner, blocks, open, zone);
    }

    /** Those that are not over. */
    private List<Block> blocks(UUID owner, Map<UUID, FollowUp> open, ZoneId zone, Instant now) {
        return plans.ofOpen(owner).stream()
                .flatMap(planned -> Optional.ofNullable(open.get(planned.followUpId()))
                        .flatMap(followUp -> Block.of(planned, followUp.expectedMinutes()))
                        .stream())
                .filter(block -> block.to(zone).isAfter(now))
                .toList();
    }

    private boolean makeWay(UUID owner, List<Block> blocks, Map<UUID, FollowUp> open, Instant now) {
        Map<LocalDate, List<Block>> byDay = blocks.stream().collect(Collectors.groupingBy(Block::day));
        List<Block.Moved> moved = new ArrayList<>();
        byDay.forEach((day, some) -> {
            Calendars.Days days = calendars.days(owner, day, day);
            // Whoever takes a move back wants it there, meeting or not.
            moved.addAll(Block.movedAround(
                    some,
                    days.busy(),
                    days.freeTime(),
                    now,
                    (block, meeting) -> movedBefore.contains(new Met(block, meeting))));
        });
        for (Block.Moved each : moved) {
            UUID id = each.block().followUpId();
            movedBefore.add(new Met(each.block(), each.meeting()));
            locks.write(
                    owner,
                    () -> commands.runWithin(owner, "block-moved", changes -> {
                        planning.moveWithin(owner, id, each.to(), changes);
                        String title = Optional.ofNullable(open.get(id))
                                .map(FollowUp::title)
                                .orElse("");
                        changes.label((each.to() == null
                                                ? "No time of its own any more, for a meeting: "
                                                : "Moved to " + each.to() + ", for a meeting: ")
                                        + title)
                                .announce();
                    }));
        }
        return !moved.isEmpty();
    }

    private void write(UUID owner, List<Block> blocks, Map<UUID, FollowUp> open, ZoneId zone) {
        List<BlockWritten> written = plans.blocksWritten(owner);
        Map<UUID, BlockWritten> wanted = new HashMap<>();
        chosen.of(owner)
                .ifPresent(calendar -> blocks.forEach(block -> Optional.ofNullable(open.get(block.followUpId()))
                        .map(followUp -> event(block, followUp, zone))
                        .filter(said -> said.length() <= LONGEST)
                        .ifPresent(said -> wanted.put(
                                block.followUpId(), new BlockWritten(block.followUpId(), calendar.id(), said)))));
        for (BlockWritten before : written) {
            BlockWritten now = wanted.get(before.followUpId());
            if (now == null || !now.calendarId().equals(before.calendarId())) {
                change(owner, before, null);
            }
        }
        for (BlockWritten now : wanted.values()) {
            if (!written.contains(now)) {
                change(owner, now, now);
            }
        }
    }

    /** What is over stays in the calendar; what shall not be there any more goes. */
    private void change(UUID owner, BlockWritten which, @Nullable BlockWritten to) {
        Optional<Calendar> calendar = calendarStore.byId(owner, which.calendarId());
        locks.write(owner, () -> {
            plans.deleteBlock(owner, which.followUpId());
            if (to != null) {
                plans.insertBlock(owner, to);
            }
            boolean over = to == null && isOver(owner, which.followUpId());
            calendar.filter(it -> !over)
                    .ifPresent(it -> outbox.addEvent(
                            owner,
                            it.sourceId(),
                            ids.next(),
                            Block.uid(which.followUpId()),
                            new Payloads.Event(
                                    it.id(), Block.uid(which.followUpId()), to == null ? null : to.said(), null, null),
                            Duration.ZERO));
        });
    }

    private boolean isOver(UUID owner, UUID followUpId) {
        ZoneId zone = calendars.workingTime(owner).zone();
        return plans.of(owner, followUpId)
                .flatMap(planned -> followUps
                        .byId(owner, followUpId)
                        .flatMap(followUp -> Block.of(planned, followUp.expectedMinutes())))
                .filter(block -> !block.to(zone).isAfter(clock.instant()))
                .isPresent();
    }

    private static String event(Block block, FollowUp followUp, ZoneId zone) {
        return CalendarWriter.object(new CalendarWriter.Event(
                Block.uid(block.followUpId()),
                followUp.title(),
                "",
                Optional.empty(),
                Optional.of(block.from(zone)),
                block.minutes(),
                true,
                followUp.createdAt()));
    }
}
