package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import org.squallnote.core.time.WorkingTime;

/**
 * What a date phrase is resolved against.
 *
 * @param sentAt the moment of writing, in the reader's time zone
 * @param workingTime the reader's working days and hours
 * @param monthFirst whether 3/4 is March 4 (as in the United States) and not 3 April
 * @param language how days and times are named
 */
public record DateContext(LocalDateTime sentAt, WorkingTime workingTime, boolean monthFirst, DateLanguage language) {

    /** For dates in English. */
    public DateContext(LocalDateTime sentAt, WorkingTime workingTime, boolean monthFirst) {
        this(sentAt, workingTime, monthFirst, DateLanguage.ENGLISH);
    }

    /** Hours for a day off that has none of its own. */
    private static final WorkingTime.Hours USUAL = new WorkingTime.Hours(LocalTime.of(9, 0), LocalTime.of(17, 0));

    DateWords words() {
        return language.words();
    }

    /** The day of writing. */
    public LocalDate today() {
        return sentAt.toLocalDate();
    }

    /** The last working day up to a day; the day itself where that is over: "before Monday", said on a Saturday. */
    public LocalDate lastDayUpTo(LocalDate day) {
        LocalDate working = workingTime.onOrBefore(day);
        return working.isBefore(today()) && !day.isBefore(today()) ? day : working;
    }

    /** When work starts that day; on a day off, when it would. */
    LocalTime startOf(LocalDate day) {
        return hoursNear(day).fromInclusive();
    }

    /** When work ends that day; on a day off, when it would. */
    LocalTime endOf(LocalDate day) {
        return hoursNear(day).toExclusive();
    }

    private WorkingTime.Hours hoursNear(LocalDate day) {
        Optional<WorkingTime.Hours> hours = workingTime.hoursOn(day);
        return hours.or(() -> workingTime.hoursOn(workingTime.onOrBefore(day))).orElse(USUAL);
    }
}
