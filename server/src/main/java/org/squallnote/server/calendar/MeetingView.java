package org.squallnote.server.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.squallnote.core.calendar.Meeting;

/**
 * A meeting as a day shows it.
 *
 * @param fromMinute its start, in minutes of the day as its clock shows them
 * @param toMinute its end, at most 1440
 */
public record MeetingView(
        String title,
        String place,
        boolean allDay,
        int fromMinute,
        int toMinute,
        boolean tentative,
        boolean takesTime) {

    private static final int DAY = 24 * 60;

    /** What of some meetings is on a day. */
    public static List<MeetingView> on(LocalDate day, ZoneId zone, List<Meeting> meetings) {
        Instant start = day.atStartOfDay(zone).toInstant();
        Instant end = day.plusDays(1).atStartOfDay(zone).toInstant();
        return meetings.stream()
                .filter(meeting -> meeting.reaches(start, end))
                .map(meeting -> new MeetingView(
                        meeting.title(),
                        meeting.place(),
                        meeting.allDay(),
                        minute(meeting.fromInclusive(), day, zone),
                        minute(meeting.toExclusive(), day, zone),
                        meeting.tentative(),
                        meeting.opaque()))
                .toList();
    }

    /** The minute of a day at which a moment lies, at its edge where it lies on another. */
    public static int minute(Instant at, LocalDate day, ZoneId zone) {
        long minutes =
                ChronoUnit.MINUTES.between(day.atStartOfDay(), at.atZone(zone).toLocalDateTime());
        return (int) Math.max(0, Math.min(DAY, minutes));
    }
}
