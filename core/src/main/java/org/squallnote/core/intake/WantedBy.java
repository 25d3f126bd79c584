package org.squallnote.core.intake;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import org.squallnote.core.time.WorkingTime;

/** Until when an answer is wanted: the order of the heap of messages that ask. */
public final class WantedBy {

    /** The last minute of a day: finer than that nobody promises. */
    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);

    private WantedBy() {}

    /**
     * The date that a message names, else as long after it as answers usually take.
     *
     * @param named the deadline that was found in it
     * @param replyDays how many working days an answer may usually take
     * @return in the zone of the working time
     */
    public static LocalDateTime of(
            Optional<LocalDate> named,
            Optional<LocalTime> time,
            Instant sentAt,
            WorkingTime workingTime,
            int replyDays) {
        LocalDate day = named.orElseGet(
                () -> workingTime.addWorkingDays(LocalDate.ofInstant(sentAt, workingTime.zone()), replyDays));
        return day.atTime(time.orElse(END_OF_DAY));
    }
}
