package org.squallnote.core.spent;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.squallnote.core.time.WorkingTime;

class ForgottenClockTest {

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));

    private static Optional<Instant> asked(String startedAt, String now) {
        return ForgottenClock.of(Instant.parse(startedAt), Optional.of(30), OFFICE, Instant.parse(now))
                .map(ForgottenClock::proposed);
    }

    @Test
    void oneThatRanOverTheEndOfTheDayStoppedThen() {
        Instant end = Instant.parse("2026-03-03T17:00:00Z");
        assertThat(OFFICE.hoursOn(java.time.LocalDate.of(2026, 3, 3))
                        .orElseThrow()
                        .toExclusive())
                .isEqualTo(java.time.LocalTime.of(17, 0));
        assertThat(asked("2026-03-03T16:20:00Z", "2026-03-03T17:30:00Z"))
                .as("somebody stays on")
                .isEmpty();
        assertThat(asked("2026-03-03T16:20:00Z", "2026-03-03T18:00:00Z")).contains(end);
        assertThat(asked("2026-03-03T16:20:00Z", "2026-03-04T09:05:00Z")).contains(end);
    }

    @Test
    void oneThatRunsForHoursIsAskedOfWithinTheDayToo() {
        assertThat(asked("2026-03-03T09:00:00Z", "2026-03-03T13:59:00Z")).isEmpty();
        assertThat(asked("2026-03-03T09:00:00Z", "2026-03-03T14:00:00Z"))
                .as("no later than now")
                .contains(Instant.parse("2026-03-03T14:00:00Z"));
    }

    @Test
    void onADayOffItTookAsLongAsItWasMeantTo() {
        assertThat(asked("2026-03-07T10:00:00Z", "2026-03-07T12:00:00Z")).isEmpty();
        assertThat(asked("2026-03-07T10:00:00Z", "2026-03-09T08:00:00Z"))
                .contains(Instant.parse("2026-03-07T10:30:00Z"));
    }
}
