package org.squallnote.core.reminder;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.time.WorkingTime;

/**
 * How somebody wants to be reminded.
 *
 * @param minutesBeforeMeetings how long before a meeting; zero for never
 * @param byMail whether a reminder comes as a mail to oneself too
 * @param morningMailAt when the day's plan comes by mail on working days; absent for never
 * @param quiet when nothing new is told
 */
public record Wishes(
        int minutesBeforeMeetings, boolean byMail, @Nullable LocalTime morningMailAt, Quiet quiet) {

    /** A morning mail that is later than this is none. */
    private static final Duration MORNING_LASTS = Duration.ofHours(4);

    /** Whether it is time for the day's plan, and not too late for it. */
    public boolean isMorning(LocalDateTime now, WorkingTime workingTime) {
        LocalTime from = morningMailAt;
        if (from == null || !workingTime.isWorkingDay(now.toLocalDate())) {
            return false;
        }
        LocalDateTime begins = now.toLocalDate().atTime(from);
        return !now.isBefore(begins) && now.isBefore(begins.plus(MORNING_LASTS));
    }

    /** Before anything was chosen. */
    public static final Wishes USUAL = new Wishes(0, false, null, Quiet.NEVER);
}
