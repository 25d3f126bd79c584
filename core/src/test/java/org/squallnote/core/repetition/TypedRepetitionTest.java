package org.squallnote.core.repetition;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.time.WorkingTime;

/** What is typed is read as the rule that was meant, and is said again in words that mean the same. */
class TypedRepetitionTest {

    /** A Wednesday. */
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-03-04T10:40");

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));
    private static final DateContext CONTEXT = new DateContext(NOW, OFFICE, false);

    private static Repetition read(String words) {
        return TypedRepetition.read(words, CONTEXT).orElseThrow().repetition();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "every day | every day | 4 Mar, 5 Mar, 6 Mar, 7 Mar",
                "every working day | every working day | 4 Mar, 5 Mar, 6 Mar, 9 Mar",
                "every weekday | every weekday | 4 Mar, 5 Mar, 6 Mar, 9 Mar",
                "every Monday to Friday | every weekday | 4 Mar, 5 Mar, 6 Mar, 9 Mar",
                "every Tues and Thursday | every Tuesday and Thursday | 5 Mar, 10 Mar, 12 Mar, 17 Mar",
                "weekly on Friday | every Friday | 6 Mar, 13 Mar, 20 Mar, 27 Mar",
                "every second Tuesday | every 2 weeks on Tuesday | 10 Mar, 24 Mar, 7 Apr, 21 Apr",
                "every other week | every 2 weeks | 4 Mar, 18 Mar, 1 Apr, 15 Apr",
                "fortnightly | every 2 weeks | 4 Mar, 18 Mar, 1 Apr, 15 Apr",
                "every second Tuesday of the month | every month on the second Tuesday | 10 Mar, 14 Apr, 12 May, 9 Jun",
                "last working day of the month | every month on the last working day | 31 Mar, 30 Apr, 29 May, 30 Jun",
                "on the first working day of every month | every month on the first working day "
                        + "| 1 Apr, 1 May, 1 Jun, 1 Jul",
                "every last Friday | every month on the last Friday | 27 Mar, 24 Apr, 29 May, 26 Jun",
                "the 15th of each month | every month on the 15th | 15 Mar, 15 Apr, 15 May, 15 Jun",
                "monthly on the 1st and 15th | every month on the 1st and 15th | 15 Mar, 1 Apr, 15 Apr, 1 May",
                "every month on the last day | every month on the last day | 31 Mar, 30 Apr, 31 May, 30 Jun",
                "every 3 months on the 1st, not on days off | every 3 months on the first working day "
                        + "| 1 Apr, 1 Jul, 1 Oct, 1 Jan",
                "quarterly | every 3 months | 4 Mar, 4 Jun, 4 Sep, 4 Dec",
                "last working day of the quarter | every quarter on the last working day "
                        + "| 31 Mar, 30 Jun, 30 Sep, 31 Dec",
                "every year on March 1 | every year on 1 March | 1 Mar, 1 Mar, 1 Mar, 1 Mar",
                "every year on the last working day | every year on the last working day "
                        + "| 31 Dec, 31 Dec, 29 Dec, 31 Dec",
                "every 3 weeks from when it is done | every 3 weeks, counted from when it is done "
                        + "| 4 Mar, 25 Mar, 15 Apr, 6 May",
                "2 weeks after it is done | every 2 weeks, counted from when it is done | 4 Mar, 18 Mar, 1 Apr, 15 Apr",
                "every Monday until 23 March | every Monday, until 23 March 2026 | 9 Mar, 16 Mar, 23 Mar",
                "every month on the 1st until June | every month on the 1st, until 30 June 2026 | 1 Apr, 1 May, 1 Jun",
                "every Monday, 2 times | every Monday, 2 times | 9 Mar, 16 Mar",
                "every Monday, shown 3 days before | every Monday, shown 3 days before | 9 Mar, 16 Mar, 23 Mar, 30 Mar",
                "every Saturday, on days off the working day before "
                        + "| every Saturday, on days off the working day before | 6 Mar, 13 Mar, 20 Mar, 27 Mar",
                "every day, left out on days off | every working day | 4 Mar, 5 Mar, 6 Mar, 9 Mar",
                "RRULE:FREQ=MONTHLY;BYDAY=MO,TU;BYSETPOS=2 "
                        + "| by the rule FREQ=MONTHLY;BYDAY=MO,TU;BYSETPOS=2 | 7 Apr, 5 May, 2 Jun, 7 Jul",
            })
    void wordsAreReadAndSaidAgain(String typed, String said, String days) {
        Repetition repetition = read(typed);
        assertThat(RepetitionWords.of(repetition)).isEqualTo(said);
        assertThat(read(said)).isEqualTo(repetition);
        assertThat(repetition.upcoming(NOW.toLocalDate(), 4, OFFICE).stream()
                        .map(each -> each.day().getDayOfMonth() + " "
                                + each.day().getMonth().name().charAt(0)
                                + each.day().getMonth().name().substring(1, 3).toLowerCase(java.util.Locale.ROOT))
                        .collect(Collectors.joining(", ")))
                .isEqualTo(days);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "every",
                "every now and then",
                "Tuesday",
                "every 0 days",
                "every month on the 41st",
                "every Tuesday on the moon",
                "every minute",
                "FREQ=SECONDLY",
                "FREQ=DAILY;COUNT=3;BYDAY=XX",
                "every 3 working days",
                "third working day of the month",
                "every Monday until never",
            })
    void whatSaysNoRuleIsNone(String typed) {
        assertThat(TypedRepetition.read(typed, CONTEXT)).isEmpty();
    }

    @Test
    void itMaySayFromWhenOn() {
        TypedRepetition typed =
                TypedRepetition.read("every Monday from 16 March on", CONTEXT).orElseThrow();
        assertThat(typed.from()).isEqualTo(Optional.of(LocalDate.parse("2026-03-16")));
        assertThat(RepetitionWords.of(typed.repetition())).isEqualTo("every Monday");
    }
}
