package org.squallnote.core.time;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** The hours of the week in which somebody works, in one time zone. Immutable. */
public final class WorkingTime {

    /** Longer silences are counted up to this many days; nobody needs the exact figure after two years. */
    private static final int FARTHEST_DAYS = 730;

    /**
     * The working hours of a day.
     *
     * @param fromInclusive the start
     * @param toExclusive the end, after the start
     */
    public record Hours(LocalTime fromInclusive, LocalTime toExclusive) {

        /** Checks that the day has a length. */
        public Hours {
            if (!fromInclusive.isBefore(toExclusive)) {
                throw new IllegalArgumentException(
                        "A working day that starts at " + fromInclusive + " cannot end at " + toExclusive);
            }
        }
    }

    private final Map<DayOfWeek, Hours> week;
    private final ZoneId zone;

    private WorkingTime(Map<DayOfWeek, Hours> week, ZoneId zone) {
        this.week = week;
        this.zone = zone;
    }

    /**
     * Working time by weekday.
     *
     * @param week the hours of the working days; a weekday that is missing is a day off
     */
    public static WorkingTime of(Map<DayOfWeek, Hours> week, ZoneId zone) {
        if (week.isEmpty()) {
            throw new IllegalArgumentException("A week needs at least one working day");
        }
        return new WorkingTime(new EnumMap<>(week), zone);
    }

    /** Monday to Friday, 09:00 to 17:00. */
    public static WorkingTime officeHours(ZoneId zone) {
        Hours hours = new Hours(LocalTime.of(9, 0), LocalTime.of(17, 0));
        Map<DayOfWeek, Hours> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day.compareTo(DayOfWeek.FRIDAY) <= 0) {
                week.put(day, hours);
            }
        }
        return new WorkingTime(week, zone);
    }

    /** The time zone in which days are counted. */
    public ZoneId zone() {
        return zone;
    }

    /** The hours worked on that day, absent on a day off. */
    public Optional<Hours> hoursOn(LocalDate day) {
        return Optional.ofNullable(week.get(day.getDayOfWeek()));
    }

    /** Whether any work is done on that day. */
    public boolean isWorkingDay(LocalDate day) {
        return week.containsKey(day.getDayOfWeek());
    }

    /** The day, or the next working day when it is a day off. */
    public LocalDate onOrAfter(LocalDate day) {
        LocalDate d = day;
        while (!isWorkingDay(d)) {
            d = d.plusDays(1);
        }
        return d;
    }

    /** The day, or the last working day before it when it is a day off. */
    public LocalDate onOrBefore(LocalDate day) {
        LocalDate d = day;
        while (!isWorkingDay(d)) {
            d = d.minusDays(1);
        }
        return d;
    }

    /**
     * The working day that lies the given number of working days after a day.
     *
     * @param workingDays zero or more; zero gives the day itself, or the next working day when it is a day off
     */
    public LocalDate addWorkingDays(LocalDate day, int workingDays) {
        if (workingDays < 0) {
            throw new IllegalArgumentException("Cannot go back " + workingDays + " working days");
        }
        if (workingDays == 0) {
            return onOrAfter(day);
        }
        LocalDate d = day;
        for (int i = 0; i < workingDays; i++) {
            d = onOrAfter(d.plusDays(1));
        }
        return d;
    }

    /**
     * The working time between two moments; zero when the second does not lie after the first. Hours that the
     * clock skips or repeats on a day of clock change count as they were lived.
     */
    public Duration between(Instant fromInclusive, Instant toExclusive) {
        Duration sum = Duration.ZERO;
        LocalDate last = toExclusive.atZone(zone).toLocalDate();
        LocalDate day = fromInclusive.atZone(zone).toLocalDate();
        if (day.isBefore(last.minusDays(FARTHEST_DAYS))) {
            day = last.minusDays(FARTHEST_DAYS);
        }
        for (; !day.isAfter(last); day = day.plusDays(1)) {
            Hours hours = week.get(day.getDayOfWeek());
            if (hours == null) {
                continue;
            }
            Instant start = later(day.atTime(hours.fromInclusive()).atZone(zone).toInstant(), fromInclusive);
            Instant end = earlier(day.atTime(hours.toExclusive()).atZone(zone).toInstant(), toExclusive);
            if (start.isBefore(end)) {
                sum = sum.plus(Duration.between(start, end));
            }
        }
        return sum;
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }

    private static Instant earlier(Instant a, Instant b) {
        return a.isBefore(b) ? a : b;
    }
}
