package org.squallnote.core.dates;

import java.time.LocalDate;

/** The date of Easter Sunday in the Gregorian calendar. */
final class Easter {

    private Easter() {}

    /** By the anonymous algorithm that Nature printed in 1876. */
    static LocalDate sundayOf(int year) {
        int a = year % 19;
        int century = year / 100;
        int inCentury = year % 100;
        int d = century / 4;
        int e = century % 4;
        int f = (century + 8) / 25;
        int g = (century - f + 1) / 3;
        int h = (19 * a + century - d - g + 15) % 30;
        int i = inCentury / 4;
        int k = inCentury % 4;
        int l = (32 + 2 * e + 2 * i - h - k) % 7;
        int m = (a + 11 * h + 22 * l) / 451;
        int month = (h + l - 7 * m + 114) / 31;
        int day = (h + l - 7 * m + 114) % 31 + 1;
        return LocalDate.of(year, month, day);
    }
}
