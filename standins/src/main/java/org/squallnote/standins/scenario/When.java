package org.squallnote.standins.scenario;

import java.time.Duration;
import java.time.LocalTime;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A moment before the last working moment, as a scenario says it.
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
}
