package org.squallnote.core.time;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What meetings leave of somebody's working time. Immutable; a day is worked out when it is first asked for, and one
 * with another meeting in it works out only the days of that meeting again.
 */
public final class FreeTime {

    /** The share of a day that is kept for the unforeseen where nothing else is set, in per cent. */
    public static final int DEFAULT_MARGIN_PERCENT = 20;

    /** What is taken for longer is looked at only so far from its start; nobody plans ten years. */
    private static final int LONGEST_DAYS = 1_000;

    /**
     * A part of a day in which nothing is on.
     *
     * @param fromInclusive its start
     * @param toExclusive its end, after the start
     */
    public record Stretch(Instant fromInclusive, Instant toExclusive) {}

    private final WorkingTime workingTime;
    private final int marginPercent;
    private final Map<LocalDate, List<Busy>> byDay;
    private final Map<LocalDate, List<Stretch>> worked;

    private FreeTime(
            WorkingTime workingTime,
            int marginPercent,
            Map<LocalDate, List<Busy>> byDay,
            Map<LocalDate, List<Stretch>> worked) {
        this.workingTime = workingTime;
        this.marginPercent = marginPercent;
        this.byDay = byDay;
        this.worked = worked;
    }

    /**
     * The free time beside some meetings.
     *
     * @param marginPercent the share that is kept for the unforeseen, 0 to 90
     * @param busy what is taken; it may overlap
     */
    public static FreeTime of(WorkingTime workingTime, int marginPercent, Collection<Busy> busy) {
        if (marginPercent < 0 || marginPercent > 90) {
            throw new IllegalArgumentException("Of a day 0 to 90 per cent can be kept, not " + marginPercent);
        }
        FreeTime none = new FreeTime(workingTime, marginPercent, new HashMap<>(), new ConcurrentHashMap<>());
        return none.changed(List.of(), busy);
    }

    /** The same without some meetings and with some others. What is gone has to be among what was given. */
    public FreeTime changed(Collection<Busy> gone, Collection<Busy> come) {
        Map<LocalDate, List<Busy>> changed = new HashMap<>(byDay);
        Map<LocalDate, List<Stretch>> kept = new ConcurrentHashMap<>(worked);
        Map<LocalDate, List<Busy>> own = new HashMap<>();
        for (Busy each : gone) {
            for (LocalDate day : days(each)) {
                own.computeIfAbsent(day, d -> new ArrayList<>(byDay.getOrDefault(d, List.of())))
                        .remove(each);
            }
        }
        for (Busy each : come) {
            for (LocalDate day : days(each)) {
                own.computeIfAbsent(day, d -> new ArrayList<>(byDay.getOrDefault(d, List.of())))
                        .add(each);
            }
        }
        own.forEach((day, list) -> {
            list.sort(Comparator.comparing(Busy::fromInclusive));
            changed.put(day, list);
            kept.remove(day);
        });
        return new FreeTime(workingTime, marginPercent, changed, kept);
    }

    private List<LocalDate> days(Busy busy) {
        LocalDate first = LocalDate.ofInstant(busy.fromInclusive(), workingTime.zone());
        LocalDate last = LocalDate.ofInstant(busy.toExclusive().minusNanos(1), workingTime.zone());
        LocalDate end = last.isAfter(first.plusDays(LONGEST_DAYS)) ? first.plusDays(LONGEST_DAYS) : last;
        return first.datesUntil(end.plusDays(1)).toList();
    }

    /** The working time that is meant. */
    public WorkingTime workingTime() {
        return workingTime;
    }

    /** The free parts of a day's working hours, in order. */
    public List<Stretch> on(LocalDate day) {
        return worked.computeIfAbsent(day, this::workOut);
    }

    private List<Stretch> workOut(LocalDate day) {
        Optional<WorkingTime.Hours> hours = workingTime.hoursOn(day);
        if (hours.isEmpty()) {
            return List.of();
        }
        Instant at = workingTime.start(day, hours.get());
        Instant end = workingTime.end(day, hours.get());
        List<Stretch> free = new ArrayList<>();
        for (Busy taken : byDay.getOrDefault(day, List.of())) {
            Instant next = earlier(taken.fromInclusive(), end);
            if (at.isBefore(next)) {
                free.add(new Stretch(at, next));
            }
            at = later(at, taken.toExclusive());
        }
        if (at.isBefore(end)) {
            free.add(new Stretch(at, end));
        }
        return List.copyOf(free);
    }

    /**
     * The free working time between two moments, with nothing kept for the unforeseen; of longer spans that of the first
     * two years.
     */
    public Duration between(Instant fromInclusive, Instant toExclusive) {
        LocalDate first = LocalDate.ofInstant(fromInclusive, workingTime.zone());
        LocalDate end = LocalDate.ofInstant(toExclusive, workingTime.zone());
        LocalDate farthest = first.plusDays(WorkingTime.FARTHEST_DAYS);
        LocalDate last = end.isAfter(farthest) ? farthest : end;
        Duration sum = Duration.ZERO;
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            for (Stretch stretch : on(day)) {
                Instant from = later(stretch.fromInclusive(), fromInclusive);
                Instant to = earlier(stretch.toExclusive(), toExclusive);
                if (from.isBefore(to)) {
                    sum = sum.plus(Duration.between(from, to));
                }
            }
        }
        return sum;
    }

    /** The free minutes of a day, of today those still ahead, with nothing kept for the unforeseen. */
    public int freeMinutes(LocalDate day, Instant now) {
        Duration free = Duration.ZERO;
        for (Stretch stretch : on(day)) {
            Instant from = later(stretch.fromInclusive(), now);
            if (from.isBefore(stretch.toExclusive())) {
                free = free.plus(Duration.between(from, stretch.toExclusive()));
            }
        }
        return (int) free.toMinutes();
    }

    /** How many minutes can be promised of a day: the free ones less the margin for the unforeseen, rounded. */
    public int roomMinutes(LocalDate day, Instant now) {
        return Math.round(freeMinutes(day, now) * (100 - marginPercent) / 100f);
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }

    private static Instant earlier(Instant a, Instant b) {
        return a.isBefore(b) ? a : b;
    }
}
