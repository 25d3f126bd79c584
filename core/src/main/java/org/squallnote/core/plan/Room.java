package org.squallnote.core.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.squallnote.core.time.FreeTime;

/**
 * How much can be promised of a day.
 *
 * @param minutes zero on a day off
 */
public record Room(LocalDate day, int minutes) {

    /** The room of some days in a row, today's from now on. */
    public static List<Room> of(FreeTime freeTime, LocalDate first, LocalDate lastInclusive, Instant now) {
        return first.datesUntil(lastInclusive.plusDays(1))
                .map(day -> new Room(day, freeTime.roomMinutes(day, now)))
                .toList();
    }
}
