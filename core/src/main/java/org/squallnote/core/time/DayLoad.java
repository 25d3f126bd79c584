package org.squallnote.core.time;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;

/**
 * What is due on a day beside the time there is for it.
 *
 * @param dueMinutes the efforts of all that is to be answered on it
 * @param freeMinutes the free working minutes of the day, less the margin
 */
public record DayLoad(int dueMinutes, int freeMinutes) {

    /** The effort of what nobody has estimated. */
    public static final int DEFAULT_EFFORT_MINUTES = 15;

    /** This share of a day is kept for the unforeseen. */
    private static final double MARGIN = 0.2;

    /**
     * The load of a day.
     *
     * @param efforts in minutes, one for each thing that is due
     * @param now of today only what is left counts
     */
    public static DayLoad of(LocalDate day, Collection<Integer> efforts, WorkingTime workingTime, Instant now) {
        int due = efforts.stream().mapToInt(Integer::intValue).sum();
        return new DayLoad(due, (int) Math.round(workingTime.freeMinutes(day, now) * (1 - MARGIN)));
    }

    /** Whether nothing more fits. */
    public boolean isFull() {
        return dueMinutes >= freeMinutes;
    }
}
