package org.squallnote.standins.scenario;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;

class QuayCalendarTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final Instant SATURDAY = Instant.parse("2026-03-07T13:05:00Z");

    private final QuayCalendar calendar = new QuayCalendar(SATURDAY, LONDON);

    @Test
    void aStartOnASaturdayShowsWhatFridayEveningLeft() {
        assertThat(calendar.anchor()).isEqualTo(Instant.parse("2026-03-06T17:00:00Z"));
        assertThat(calendar.at(When.of("-40m"))).isEqualTo(Instant.parse("2026-03-06T16:20:00Z"));
        assertThat(calendar.day(1)).isEqualTo(LocalDate.of(2026, 3, 9));
        assertThat(calendar.day(-5)).isEqualTo(LocalDate.of(2026, 2, 27));
    }

    @Test
    void christmasIsSpentWithTheLastWorkingDayBeforeIt() {
        QuayCalendar christmas = new QuayCalendar(Instant.parse("2025-12-26T10:00:00Z"), LONDON);
        assertThat(christmas.anchor()).isEqualTo(Instant.parse("2025-12-24T17:00:00Z"));
        assertThat(christmas.day(1)).isEqualTo(LocalDate.of(2025, 12, 29));
    }

    @Test
    void aDayIsNamedByItsWeekdayOnlyWhereThatIsClear() {
        Instant sent = calendar.at(When.of("-2d08:55"));
        assertThat(calendar.said("before {+2}", sent)).isEqualTo("before Tuesday");
        assertThat(calendar.said("before {+5}", sent)).isEqualTo("before 13 March");
        assertThat(calendar.said("by {date+2}", sent)).isEqualTo("by 10 March");
    }

    /** Every six hours and a half of three years: nothing comes from the future, and no day that is named has passed. */
    @Test
    void itIsRightWheneverItStarts() {
        List<Script.Line> lines = Script.load("merrow-quay.txt").conversations().stream()
                .flatMap(conversation -> conversation.lines().stream())
                .toList();
        Instant end = Instant.parse("2028-01-01T00:00:00Z");
        for (Instant start = Instant.parse("2025-01-01T00:00:00Z");
                start.isBefore(end);
                start = start.plus(Duration.ofMinutes(6 * 60 + 30))) {
            QuayCalendar at = new QuayCalendar(start, LONDON);
            assertThat(at.anchor()).isBeforeOrEqualTo(start);
            assertThat(at.day(0).getDayOfWeek()).isLessThan(DayOfWeek.SATURDAY);
            assertThat(at.day(1)).isAfter(LocalDate.ofInstant(start, LONDON).minusDays(1));
            for (Script.Line line : lines) {
                Instant sent = at.at(line.when());
                assertThat(sent).as("%s of a start at %s", line.when(), start).isBefore(at.anchor());
                assertThat(at.said(line.text(), sent)).doesNotContain("{+", "{date+");
            }
        }
    }
}
