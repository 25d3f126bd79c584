package org.squallnote.core.figures;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.List;

/** The weeks of some days, each by its Monday (ISO 8601), in a zone. */
record Weeks(LocalDate from, LocalDate to, ZoneId zone) {

    /** All of them, also those in which nothing was. */
    List<LocalDate> all() {
        return monday(from).datesUntil(to.plusDays(1), Period.ofWeeks(1)).toList();
    }

    LocalDate of(Instant moment) {
        return monday(LocalDate.ofInstant(moment, zone));
    }

    private static LocalDate monday(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }
}
