package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;

/** The last working days of weeks, months and the year, seen from the day of writing. */
final class PeriodEnds {

    private final DateContext context;

    PeriodEnds(DateContext context) {
        this.context = context;
    }

    /** The last working day of an ISO week from now on; on a day off at the end of this week, of the next one. */
    LocalDate ofWeek(int weeksOn) {
        LocalDate monday = context.today().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        LocalDate last = ofWeekFrom(monday.plusWeeks(weeksOn));
        return weeksOn == 0 && last.isBefore(context.today()) ? ofWeekFrom(monday.plusWeeks(1)) : last;
    }

    /** Of the ISO week that begins on a Monday. */
    LocalDate ofWeekFrom(LocalDate monday) {
        return context.workingTime().onOrBefore(monday.plusDays(6));
    }

    /** Of the month of a day; of the next one where that is over. */
    LocalDate ofMonth(LocalDate inMonth) {
        LocalDate last = context.workingTime().onOrBefore(inMonth.with(TemporalAdjusters.lastDayOfMonth()));
        return last.isBefore(context.today())
                ? context.workingTime().onOrBefore(inMonth.plusMonths(1).with(TemporalAdjusters.lastDayOfMonth()))
                : last;
    }

    LocalDate ofYear() {
        return context.workingTime().onOrBefore(context.today().with(TemporalAdjusters.lastDayOfYear()));
    }
}
