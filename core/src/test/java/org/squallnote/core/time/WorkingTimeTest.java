package org.squallnote.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WorkingTimeTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private final WorkingTime office = WorkingTime.officeHours(LONDON);

    @ParameterizedTest
    @CsvSource({
        "2026-03-02T10:00, 2026-03-02T12:30, PT2H30M",
        "2026-03-02T16:00, 2026-03-03T10:00, PT2H",
        "2026-03-06T16:00, 2026-03-09T10:00, PT2H",
        "2026-03-07T10:00, 2026-03-08T10:00, PT0S",
        "2026-03-02T18:00, 2026-03-02T20:00, PT0S",
        "2026-03-02T12:00, 2026-03-02T10:00, PT0S",
        // The clocks go forward on Sunday 29 March 2026: Friday to Monday stays one working hour each.
        "2026-03-27T16:00, 2026-03-30T10:00, PT2H",
    })
    void agesInWorkingHours(LocalDateTime from, LocalDateTime to, Duration expected) {
        assertThat(office.between(
                        from.atZone(LONDON).toInstant(), to.atZone(LONDON).toInstant()))
                .isEqualTo(expected);
    }

    @Test
    void aNightShiftLosesTheSkippedHour() {
        WorkingTime nights = WorkingTime.of(
                Map.of(DayOfWeek.SUNDAY, new WorkingTime.Hours(LocalTime.MIDNIGHT, LocalTime.of(6, 0))), LONDON);
        LocalDate clockChange = LocalDate.of(2026, 3, 29);

        assertThat(nights.between(
                        clockChange.atStartOfDay(LONDON).toInstant(),
                        clockChange.plusDays(1).atStartOfDay(LONDON).toInstant()))
                .isEqualTo(Duration.ofHours(5));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-02, 2, 2026-03-04",
        "2026-03-05, 2, 2026-03-09",
        "2026-03-07, 0, 2026-03-09",
        "2026-03-07, 1, 2026-03-09"
    })
    void addsWorkingDays(LocalDate day, int count, LocalDate expected) {
        assertThat(office.addWorkingDays(day, count)).isEqualTo(expected);
    }

    @Test
    void refusesWhatCannotBe() {
        assertThatThrownBy(() -> office.addWorkingDays(LocalDate.of(2026, 3, 2), -1))
                .hasMessageContaining("-1 working days");
        assertThatThrownBy(() -> WorkingTime.of(Map.of(), LONDON)).hasMessageContaining("at least one working day");
        assertThatThrownBy(() -> new WorkingTime.Hours(LocalTime.NOON, LocalTime.NOON))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void quickChoicesCarryRealDatesAndNoneTwice() {
        assertThat(QuickChoices.on(LocalDate.of(2026, 3, 4), office))
                .extracting(choice -> choice.label() + " " + choice.day())
                .containsExactly(
                        "Today 2026-03-04",
                        "Next working day 2026-03-05",
                        "In two working days 2026-03-06",
                        "Start of next week 2026-03-09",
                        "In two weeks 2026-03-18");
        // On a Sunday the week's end has passed.
        assertThat(QuickChoices.on(LocalDate.of(2026, 3, 8), office))
                .extracting(QuickChoices.Choice::day)
                .isSorted()
                .doesNotContain(LocalDate.of(2026, 3, 6));
    }

    @Test
    void aDayIsAsLongAsTheMeanOfTheWeek() {
        WorkingTime week = WorkingTime.of(
                Map.of(
                        DayOfWeek.TUESDAY, new WorkingTime.Hours(LocalTime.of(8, 0), LocalTime.of(16, 0)),
                        DayOfWeek.MONDAY, new WorkingTime.Hours(LocalTime.of(9, 0), LocalTime.of(13, 0))),
                ZoneId.of("Europe/London"));
        assertThat(week.minutesOfADay()).isEqualTo(360);
        assertThat(week.workingWeekdays()).containsExactly(DayOfWeek.MONDAY, DayOfWeek.TUESDAY);
    }
}
