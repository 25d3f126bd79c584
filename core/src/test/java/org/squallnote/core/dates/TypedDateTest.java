package org.squallnote.core.dates;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.ZoneId;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.time.WorkingTime;

/** What people type into a date field on Tuesday 10 March 2026 at 10:20. */
class TypedDateTest {

    private static final DateContext NOW = new DateContext(
            LocalDateTime.parse("2026-03-10T10:20"), WorkingTime.officeHours(ZoneId.of("Europe/London")), false);

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    fri                  | 2026-03-13
                    Fri 3pm              | 2026-03-13T15:00
                    in 3 days            | 2026-03-13
                    3 days               | 2026-03-13
                    two weeks            | 2026-03-24
                    5 working days       | 2026-03-17
                    end of month noon    | 2026-03-31T12:00
                    end of month         | 2026-03-31
                    end of next week     | 2026-03-20
                    tmrw 5               | 2026-03-11T17:00
                    noon                 | 2026-03-10T12:00
                    12/3                 | 2026-03-12
                    the 20th             | 2026-03-20
                    2026-04-01           | 2026-04-01
                    by thursday          | 2026-03-12
                    next tuesday         | 2026-03-17
                    yesterday            | nothing
                    fri and then some    | nothing
                    crane                | nothing
                    31/2                 | nothing
                    """)
    void reads(String typed, String expected) {
        assertThat(TypedDate.read(typed, NOW)
                        .map(phrase -> phrase.day()
                                + phrase.time().map(time -> "T" + time).orElse(""))
                        .orElse("nothing"))
                .as(typed)
                .isEqualTo(expected);
    }
}
