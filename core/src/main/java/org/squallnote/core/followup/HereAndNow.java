package org.squallnote.core.followup;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.time.WorkingTime;

/**
 * What can be done where one is, in the time that there is.
 *
 * @param place where that is; empty for anywhere
 * @param minutes how long there is
 */
public record HereAndNow(String place, int minutes) {

    private static final int OFF_WORK = 60;

    /** Those that fit: done there or anywhere, short enough, in sight today. What nobody has estimated takes the usual time. */
    public List<FollowUp> among(List<FollowUp> open, LocalDate today) {
        return open.stream().filter(each -> fits(each, today)).toList();
    }

    /** The meeting that comes next today, or is under way. */
    public static Optional<Meeting> next(List<Meeting> meetings, Instant now) {
        return meetings.stream()
                .filter(meeting -> meeting.opaque()
                        && !meeting.allDay()
                        && meeting.toExclusive().isAfter(now))
                .min(Comparator.comparing(Meeting::fromInclusive));
    }

    /** How long there is until it, else until work ends today; an hour where that is over, none within it. */
    public static int minutesLeft(Optional<Meeting> next, WorkingTime workingTime, Instant now) {
        LocalDateTime local = LocalDateTime.ofInstant(now, workingTime.zone());
        int work = workingTime
                .hoursOn(local.toLocalDate())
                .map(hours -> (int) Duration.between(local.toLocalTime(), hours.toExclusive())
                        .toMinutes())
                .filter(minutes -> minutes > 0)
                .orElse(OFF_WORK);
        return next.map(meeting -> (int) Math.max(
                        0, Duration.between(now, meeting.fromInclusive()).toMinutes()))
                .map(minutes -> Math.min(minutes, work))
                .orElse(work);
    }

    private boolean fits(FollowUp followUp, LocalDate today) {
        String where = followUp.place().strip().toLowerCase(Locale.ROOT);
        return followUp.state() == FollowUpState.OPEN
                && !followUp.isLater(today)
                && (where.isEmpty() || where.equals(place.strip().toLowerCase(Locale.ROOT)))
                && followUp.expectedMinutes() <= minutes;
    }
}
