package org.squallnote.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiPredicate;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.time.Busy;
import org.squallnote.core.time.FreeTime;

/**
 * A follow-up with a time of its own in a day.
 *
 * @param minutes how long it is
 */
public record Block(UUID followUpId, LocalDate day, LocalTime at, int minutes) {

    private static final String UID_START = "block-";
    private static final String UID_END = "@blocks.squallnote.invalid";

    /** The block that is planned; absent where it has no time of its own. */
    public static Optional<Block> of(Planned planned, int expectedMinutes) {
        LocalTime at = planned.at();
        Integer minutes = planned.minutes();
        return at == null
                ? Optional.empty()
                : Optional.of(new Block(
                        planned.followUpId(), planned.day(), at, minutes == null ? expectedMinutes : minutes));
    }

    /** By this UID calendars know it. */
    public static String uid(UUID followUpId) {
        return UID_START + followUpId + UID_END;
    }

    /** Whether an event of a calendar is a block that was written there: it takes the day's time already. */
    public static boolean isUid(String uid) {
        return uid.startsWith(UID_START) && uid.endsWith(UID_END);
    }

    /** When it begins. */
    public Instant from(ZoneId zone) {
        return day.atTime(at).atZone(zone).toInstant();
    }

    /** When it is over. */
    public Instant to(ZoneId zone) {
        return from(zone).plus(Duration.ofMinutes(minutes));
    }

    private boolean overlaps(Instant from, Instant to, ZoneId zone) {
        return from(zone).isBefore(to) && to(zone).isAfter(from);
    }

    /** Where a block goes; at no time where the day has no room for it any more. */
    public record Moved(Block block, @Nullable LocalTime to, Busy meeting) {}

    /**
     * The blocks of a day that a meeting has come upon, each with where it goes: the next free time of its length, else the
     * first one that is left of the day. What has begun stays.
     *
     * @param blocks all of that day
     * @param busy what takes time
     * @param freeTime what it leaves
     * @param stays whether a block shall stay where it is in spite of a meeting
     */
    public static List<Moved> movedAround(
            List<Block> blocks, List<Busy> busy, FreeTime freeTime, Instant now, BiPredicate<Block, Busy> stays) {
        ZoneId zone = freeTime.workingTime().zone();
        List<Moved> moved = new ArrayList<>();
        List<Block> standing = new ArrayList<>(blocks);
        blocks.stream().sorted(Comparator.comparing(Block::at)).forEach(block -> {
            Optional<Busy> meeting = busy.stream()
                    .filter(each -> block.overlaps(each.fromInclusive(), each.toExclusive(), zone))
                    .filter(each -> !stays.test(block, each))
                    .findFirst();
            if (meeting.isPresent() && block.from(zone).isAfter(now)) {
                standing.remove(block);
                Optional<Instant> to = room(block, standing, freeTime, now, zone);
                LocalTime at = to.map(it -> it.atZone(zone).toLocalTime()).orElse(null);
                if (at != null) {
                    standing.add(new Block(block.followUpId(), block.day(), at, block.minutes()));
                }
                moved.add(new Moved(block, at, meeting.get()));
            }
        });
        return moved;
    }

    private static Optional<Instant> room(
            Block block, List<Block> others, FreeTime freeTime, Instant now, ZoneId zone) {
        List<Instant> starts = new ArrayList<>();
        for (FreeTime.Stretch stretch : freeTime.on(block.day())) {
            starts.addAll(startsIn(block, stretch, others, now, zone));
        }
        Instant wanted = block.from(zone);
        return starts.stream()
                .filter(start -> !start.isBefore(wanted))
                .findFirst()
                .or(() -> starts.stream().findFirst());
    }

    /** Where in a free stretch it could begin: at its start, at its own time, and behind each other block. */
    private static List<Instant> startsIn(
            Block block, FreeTime.Stretch stretch, List<Block> others, Instant now, ZoneId zone) {
        Duration length = Duration.ofMinutes(block.minutes());
        List<Instant> starts = new ArrayList<>(List.of(stretch.fromInclusive(), block.from(zone), now));
        others.forEach(other -> starts.add(other.to(zone)));
        return starts.stream()
                .map(start -> roundedUp(start, zone))
                .filter(start -> !start.isBefore(stretch.fromInclusive()) && start.isAfter(now))
                .filter(start -> !start.plus(length).isAfter(stretch.toExclusive()))
                .filter(start -> others.stream().noneMatch(other -> other.overlaps(start, start.plus(length), zone)))
                .distinct()
                .sorted()
                .toList();
    }

    /** To the next five minutes, which people can read. */
    private static Instant roundedUp(Instant at, ZoneId zone) {
        long fiveMinutes = 5 * 60 * 1_000_000_000L;
        long beyond = at.atZone(zone).toLocalTime().toNanoOfDay() % fiveMinutes;
        return beyond == 0 ? at : at.plusNanos(fiveMinutes - beyond);
    }
}
