package org.squallnote.core.time;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * Some days.
 *
 * @param from the first day
 * @param to the last day
 */
public record DaySpan(LocalDate from, LocalDate to) {

    /** Whether the last day is before the first one. */
    public boolean isBackwards() {
        return to.isBefore(from);
    }

    /** Whether there are more than so many. */
    public boolean isLongerThan(int days) {
        return ChronoUnit.DAYS.between(from, to) >= days;
    }
}
