package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.MonthDay;

/** Feasts: {@code feast 12 24}, a day of each year; {@code easter -2}, so many days from Easter Sunday. The next one counts. */
record FeastDays(LocalDate today) {

    /** The day in words of a rule, one by one. */
    LocalDate day(String... said) {
        int last = Integer.parseInt(said[said.length - 1]);
        LocalDate day = said[0].equals("easter")
                ? fromEaster(today.getYear(), last)
                : MonthDay.of(Integer.parseInt(said[1]), last).atYear(today.getYear());
        if (!day.isBefore(today)) {
            return day;
        }
        return said[0].equals("easter") ? fromEaster(today.getYear() + 1, last) : day.plusYears(1);
    }

    private static LocalDate fromEaster(int year, int days) {
        return Easter.sundayOf(year).plusDays(days);
    }
}
