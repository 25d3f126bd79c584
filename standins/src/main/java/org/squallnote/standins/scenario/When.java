package org.squallnote.standins.scenario;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A moment before the start.
 *
 * @param workingDays how many working days back, or −1 for a number of minutes
 */
record When(int workingDays, LocalTime time, Duration before) {

    private static final Pattern DAYS = Pattern.compile("-(\\d+)d(\\d\\d:\\d\\d)");
    private static final Pattern MINUTES = Pattern.compile("-(\\d+)m");

    static When of(String text) {
        Matcher days = DAYS.matcher(text);
        if (days.matches()) {
            return new When(Integer.parseInt(days.group(1)), LocalTime.parse(days.group(2)), Duration.ZERO);
        }
        Matcher minutes = MINUTES.matcher(text);
        if (minutes.matches()) {
            return new When(-1, LocalTime.MIDNIGHT, Duration.ofMinutes(Integer.parseInt(minutes.group(1))));
        }
        throw new IllegalArgumentException("Not a moment: " + text);
    }

    /** The moment; never after the start, and what would be later today is a little earlier than now. */
    Instant at(Instant start, ZoneId zone) {
        if (workingDays < 0) {
            return start.minus(before);
        }
        LocalDate day = LocalDate.ofInstant(start, zone);
        while (isWeekend(day)) {
            day = day.minusDays(1);
        }
        for (int i = 0; i < workingDays; i++) {
            do {
                day = day.minusDays(1);
            } while (isWeekend(day));
        }
        Instant at = day.atTime(time).atZone(zone).toInstant();
        Duration toEvening = Duration.between(time, LocalTime.MAX);
        // Today at 17:00 becomes an hour or two before a start at noon, keeping the order of the day.
        return at.isBefore(start) ? at : start.minus(toEvening.dividedBy(12)).minusSeconds(60);
    }

    private static boolean isWeekend(LocalDate day) {
        return day.getDayOfWeek() == DayOfWeek.SATURDAY || day.getDayOfWeek() == DayOfWeek.SUNDAY;
    }
}
