package org.squallnote.core.takein;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.time.WorkingTime;

class CellDatesTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final DateContext DATES =
            new DateContext(LocalDateTime.of(2026, 3, 4, 10, 40), WorkingTime.officeHours(ZONE), false);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-03-09          | 2026-03-09 |",
                "2026-03-09 14:30    | 2026-03-09 | 14:30",
                "2026-03-09T14:30:00 | 2026-03-09 | 14:30",
                "2026-07-01T23:30:00Z | 2026-07-02 | 00:30",
                "2026-07-01T09:00:00+0200 | 2026-07-01 | 08:00",
                "3/4/2026            | 2026-04-03 |",
                "3-4-26              | 2026-04-03 |",
                "03.04.2026          | 2026-04-03 |",
                "3. 4. 2026          | 2026-04-03 |",
                "3/4/2026 2:05 PM    | 2026-04-03 | 14:05",
                "3/4/2026 12:05 am   | 2026-04-03 | 00:05",
                "2026/3/4            | 2026-03-04 |",
                "46115               | 2026-04-03 |",
                "46115.5             | 2026-04-03 | 12:00",
                "12 March 2024       | 2024-03-12 |",
                "Thu, 5 Mar 2026     | 2026-03-05 |",
                "March 5, 2026       | 2026-03-05 |",
                "5-mar-2026          | 2026-03-05 |",
                "5 March 2026 16:00  | 2026-03-05 | 16:00",
                "next Friday         | 2026-03-13 |",
                "tomorrow            | 2026-03-05 |",
            })
    void isReadAsItStands(String cell, LocalDate day, LocalTime time) {
        assertThat(CellDates.read(cell, false, ZONE, DATES)).hasValueSatisfying(date -> {
            assertThat(date.day()).isEqualTo(day);
            assertThat(date.time().orElse(null)).isEqualTo(time);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "31/2/2026",
                "2026-13-01",
                "13/13/2026",
                "3/4/2026 soon",
                "soon",
                "12",
                "99999",
                "3/4/2026 25:00",
                "Fri, 5 Mar 2026 and more"
            })
    void isNoneWhereNoneExists(String cell) {
        assertThat(CellDates.read(cell, false, ZONE, DATES)).isEmpty();
    }

    @Test
    void anOrderIsSaidByWhatCanBeReadInOneWayOnly() {
        assertThat(CellDates.order(List.of("3/4/2026", "25/4/2026"), true))
                .isEqualTo(new CellDates.Order(false, true, false));
        assertThat(CellDates.order(List.of("3/4/2026", "4/25/2026"), false))
                .isEqualTo(new CellDates.Order(true, true, false));
        assertThat(CellDates.order(List.of("3/4/2026", "03.04.2026", "2026-04-25"), true))
                .isEqualTo(new CellDates.Order(true, false, false));
        assertThat(CellDates.order(List.of("25/4/2026", "26/4/2026", "4/25/2026"), true))
                .isEqualTo(new CellDates.Order(false, true, true));
    }

    /** Whatever day it is and however it is written: the same day is read, if the order is known. */
    @Test
    void isReadBackFromAnyFormThatIsWritten() {
        List<String> dayFirst =
                List.of("d/M/uuuu", "dd.MM.uuuu", "d-M-uu", "uuuu-MM-dd", "d MMMM uuuu", "EEE d MMM uuuu");
        List<String> monthFirst = List.of("M/d/uuuu", "MM-dd-uuuu", "MMMM d, uuuu", "EEE, MMM d uuuu", "uuuu/M/d");
        Random random = new Random(18);
        for (int i = 0; i < 2_000; i++) {
            LocalDate day = LocalDate.of(2001, 1, 1).plusDays(random.nextInt(30_000));
            boolean first = random.nextBoolean();
            List<String> forms = first ? monthFirst : dayFirst;
            String cell = DateTimeFormatter.ofPattern(forms.get(random.nextInt(forms.size())), Locale.ENGLISH)
                    .format(day);
            assertThat(CellDates.read(cell, first, ZONE, DATES))
                    .as(cell)
                    .hasValueSatisfying(date -> assertThat(date.day()).isEqualTo(day));
        }
    }
}
