package org.squallnote.core.thread;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.squallnote.core.time.WorkingTime;

class AgeTest {

    private static final WorkingTime WEEK = WorkingTime.officeHours(ZoneOffset.UTC);
    private static final LocalDate WEDNESDAY = LocalDate.of(2026, 3, 4);

    private static Age of(String day) {
        return Age.of(Instant.parse(day + "T09:00:00Z"), WEDNESDAY, WEEK);
    }

    @Test
    void isCountedInWorkingDays() {
        assertThat(of("2026-03-04")).isEqualTo(Age.UP_TO_TWO_DAYS);
        assertThat(of("2026-03-02")).isEqualTo(Age.UP_TO_TWO_DAYS);
        // Written on a Sunday: three working days have passed since.
        assertThat(of("2026-03-01")).isEqualTo(Age.UP_TO_A_WEEK);
        assertThat(of("2026-02-25")).isEqualTo(Age.UP_TO_A_WEEK);
        assertThat(of("2026-02-24")).isEqualTo(Age.UP_TO_TWO_WEEKS);
        assertThat(of("2026-02-17")).isEqualTo(Age.UP_TO_FOUR_WEEKS);
        assertThat(of("2026-02-03")).isEqualTo(Age.OLDER);
    }

    @Test
    void daysOffMakeNothingOlder() {
        WorkingTime off = WEEK.withDaysOff(Set.of(LocalDate.of(2026, 3, 2), LocalDate.of(2026, 3, 3)));
        assertThat(Age.of(Instant.parse("2026-02-27T09:00:00Z"), WEDNESDAY, off))
                .isEqualTo(Age.UP_TO_TWO_DAYS);
    }

    @Test
    void onASundayTheWeekCountsFromItsLastWorkingDay() {
        assertThat(Age.of(Instant.parse("2026-03-04T09:00:00Z"), LocalDate.of(2026, 3, 8), WEEK))
                .isEqualTo(Age.UP_TO_TWO_DAYS);
    }
}
