package org.squallnote.core.time;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;

/**
 * The date, or date and time, by which the other side should have its answer, in the user's own time zone.
 *
 * @param day the day
 * @param time the time, absent when the whole day will do
 * @param firm whether somebody set the date and missing it costs something; otherwise it is my own aim
 */
public record ReplyBy(LocalDate day, Optional<LocalTime> time, boolean firm) {

    /** Whether the moment has passed. */
    public boolean isLate(LocalDateTime now) {
        return time.map(t -> day.atTime(t).isBefore(now)).orElse(day.isBefore(now.toLocalDate()));
    }
}
