package org.squallnote.core.time;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Optional;
import java.util.function.Function;

/**
 * What is due on a day beside the time there is for it.
 *
 * @param due how much is to be answered on it
 * @param dueMinutes the efforts of that
 * @param freeMinutes the free working minutes of the day, less the margin
 * @param full whether nothing more fits; a day that is over or off is not full but none
 */
public record DayLoad(int due, int dueMinutes, int freeMinutes, boolean full) {

    /** The effort of what nobody has estimated. */
    public static final int DEFAULT_EFFORT_MINUTES = 15;

    /**
     * The load of a day.
     *
     * @param efforts in minutes, one for each thing that is due
     * @param now of today only what is left counts
     */
    public static DayLoad of(LocalDate day, Collection<Integer> efforts, FreeTime freeTime, Instant now) {
        int dueMinutes = efforts.stream().mapToInt(Integer::intValue).sum();
        int freeMinutes = freeTime.roomMinutes(day, now);
        WorkingTime workingTime = freeTime.workingTime();
        boolean comes = !day.isBefore(LocalDate.ofInstant(now, workingTime.zone())) && workingTime.isWorkingDay(day);
        return new DayLoad(efforts.size(), dueMinutes, freeMinutes, comes && dueMinutes >= freeMinutes);
    }

    /**
     * The first working day after a day that is not full.
     *
     * @param efforts of what is due on a day, in minutes
     * @param days how many days are looked at
     */
    public static Optional<LocalDate> firstWithRoom(
            LocalDate after,
            int days,
            Function<LocalDate, Collection<Integer>> efforts,
            FreeTime freeTime,
            Instant now) {
        return after.plusDays(1)
                .datesUntil(after.plusDays(1L + days))
                .filter(day -> freeTime.workingTime().isWorkingDay(day))
                .filter(day -> !of(day, efforts.apply(day), freeTime, now).full())
                .findFirst();
    }
}
