package org.squallnote.core.time;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * When somebody works, in one time zone: hours by weekday, less public holidays and own days off. Immutable. What
 * meetings leave of it is {@link FreeTime}.
 *
 * <p>Hours are those of the clock on the wall: on a day of clock change a working day from 01:00 to 09:00 is an hour
 * shorter or longer, as it is lived.
 */
public final class WorkingTime {

    /** Longer silences are counted up to this many days; nobody needs the exact figure after two years. */
    static final int FARTHEST_DAYS = 730;

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

    /** Nobody is off for longer; the search for a working day ends there. */
    private static final int LONGEST_ABSENCE_DAYS = 800;

    private final Map<DayOfWeek, Hours> week;
    private final ZoneId zone;
    private final Holidays holidays;
    private final Set<LocalDate> daysOff;

    private WorkingTime(Map<DayOfWeek, Hours> week, ZoneId zone, Holidays holidays, Set<LocalDate> daysOff) {
        this.week = week;
        this.zone = zone;
        this.holidays = holidays;
        this.daysOff = Set.copyOf(daysOff);
    }

    /** The same with the public holidays of a region. */
    public WorkingTime withHolidays(Holidays ofRegion) {
        return new WorkingTime(week, zone, ofRegion, daysOff);
    }

    /** The same with these own days off. */
    public WorkingTime withDaysOff(Set<LocalDate> off) {
        return new WorkingTime(week, zone, holidays, off);
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
        return new WorkingTime(new EnumMap<>(week), zone, Holidays.NONE, Set.of());
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
        return new WorkingTime(week, zone, Holidays.NONE, Set.of());
    }

    /** The time zone in which days are counted. */
    public ZoneId zone() {
        return zone;
    }

    /** The hours worked on that day, absent on a day off. */
    public Optional<Hours> hoursOn(LocalDate day) {
        return isWorkingDay(day) ? Optional.ofNullable(week.get(day.getDayOfWeek())) : Optional.empty();
    }

    /** The weekdays on which work is done, in the order of the week. */
    public List<DayOfWeek> workingWeekdays() {
        return week.keySet().stream().sorted().toList();
    }

    /** How long a working day is, in minutes: the mean of the week's, rounded. */
    public int minutesOfADay() {
        return (int) Math.round(week.values().stream()
                .mapToLong(hours -> Duration.between(hours.fromInclusive(), hours.toExclusive())
                        .toMinutes())
                .average()
                .orElse(0));
    }

    /** Why no work is done on that day: the name of a holiday, "day off" or "weekend"; absent on a working day. */
    public Optional<String> whyOff(LocalDate day) {
        if (!week.containsKey(day.getDayOfWeek())) {
            return Optional.of("weekend");
        }
        Optional<String> holiday = holidays.on(day);
        return holiday.isPresent() || !daysOff.contains(day) ? holiday : Optional.of("day off");
    }

    /** Whether any work is done on that day. */
    public boolean isWorkingDay(LocalDate day) {
        return week.containsKey(day.getDayOfWeek())
                && !daysOff.contains(day)
                && holidays.on(day).isEmpty();
    }

    /** The day, or the next working day when it is a day off. */
    public LocalDate onOrAfter(LocalDate day) {
        LocalDate d = day;
        for (int i = 0; i < LONGEST_ABSENCE_DAYS && !isWorkingDay(d); i++) {
            d = d.plusDays(1);
        }
        return d;
    }

    /** The day, or the last working day before it when it is a day off. */
    public LocalDate onOrBefore(LocalDate day) {
        LocalDate d = day;
        for (int i = 0; i < LONGEST_ABSENCE_DAYS && !isWorkingDay(d); i++) {
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
            Optional<Hours> hours = hoursOn(day);
            if (hours.isEmpty()) {
                continue;
            }
            Instant start = later(start(day, hours.get()), fromInclusive);
            Instant end = earlier(end(day, hours.get()), toExclusive);
            if (start.isBefore(end)) {
                sum = sum.plus(Duration.between(start, end));
            }
        }
        return sum;
    }

    /** The last working moment that is not after a moment: the moment itself inside working hours. */
    public LocalDateTime lastWorkingMomentUpTo(LocalDateTime moment) {
        LocalDate day = onOrBefore(moment.toLocalDate());
        Optional<Hours> hours = hoursOn(day);
        if (hours.isEmpty()) {
            return moment;
        }
        LocalDateTime end = day.atTime(hours.get().toExclusive());
        if (moment.isAfter(end)) {
            return end;
        }
        if (!moment.isBefore(day.atTime(hours.get().fromInclusive()))) {
            return moment;
        }
        LocalDate before = onOrBefore(day.minusDays(1));
        return hoursOn(before).map(h -> before.atTime(h.toExclusive())).orElse(moment);
    }

    /** A moment of working time as it is; any other as the next one, when work begins. */
    public LocalDateTime firstWorkingMomentFrom(LocalDateTime moment) {
        LocalDate day = onOrAfter(moment.toLocalDate());
        Optional<Hours> hours = hoursOn(day);
        if (hours.isEmpty()) {
            return moment;
        }
        LocalDateTime start = day.atTime(hours.get().fromInclusive());
        if (moment.isBefore(start)) {
            return start;
        }
        if (moment.isBefore(day.atTime(hours.get().toExclusive()))) {
            return moment;
        }
        LocalDate after = onOrAfter(day.plusDays(1));
        return hoursOn(after).map(h -> after.atTime(h.fromInclusive())).orElse(moment);
    }

    Instant start(LocalDate day, Hours hours) {
        return day.atTime(hours.fromInclusive()).atZone(zone).toInstant();
    }

    Instant end(LocalDate day, Hours hours) {
        return day.atTime(hours.toExclusive()).atZone(zone).toInstant();
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }

    private static Instant earlier(Instant a, Instant b) {
        return a.isBefore(b) ? a : b;
    }
}
