package org.squallnote.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.time.WorkingTime;

/** It is a week in which the clocks go forward: on Sunday, 29 March 2026. */
class StampsTest {

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));
    private static final Instant FRIDAY_FOUR = Instant.parse("2026-03-27T16:00:00Z");
    private static final Instant MONDAY_TEN = Instant.parse("2026-03-30T09:00:00Z");
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 30);

    private static FollowUp ended(@Nullable LocalDate day, @Nullable LocalTime time) {
        return FollowUp.made(
                        new UUID(0, 1),
                        new UUID(0, 2),
                        new Content("Send the plan", day, time, true, null, null, null, false, null),
                        Optional.empty(),
                        FRIDAY_FOUR)
                .ended(FollowUpState.DONE, MONDAY_TEN);
    }

    @Test
    void timeIsCountedInWorkingHoursOverAChangeOfTheClocks() {
        Stamps stamps = Stamps.of(ended(MONDAY, null), null, null, OFFICE);
        assertThat(stamps.workingMinutes())
                .isEqualTo(OFFICE.between(FRIDAY_FOUR, MONDAY_TEN).toMinutes())
                .isLessThan(4 * 60);
        assertThat(stamps.onTime()).isTrue();
        assertThat(Stamps.of(ended(null, null), null, null, OFFICE).onTime()).isNull();
    }

    @Test
    void theAnswerCountsAndNotTheTick() {
        FollowUp ofFriday = ended(LocalDate.of(2026, 3, 27), null);
        assertThat(Stamps.of(ofFriday, null, null, OFFICE).onTime()).isFalse();
        Instant answered = FRIDAY_FOUR.plusSeconds(600);
        Stamps stamps = Stamps.of(ofFriday, FRIDAY_FOUR.minusSeconds(3600), answered, OFFICE);
        assertThat(stamps.onTime()).isTrue();
        assertThat(stamps.workingMinutes()).isEqualTo(70);
    }

    @Test
    void aTimeOfDayCountsWhereOneWasSet() {
        assertThat(Stamps.of(ended(MONDAY, LocalTime.of(9, 59)), null, null, OFFICE)
                        .onTime())
                .isFalse();
        assertThat(Stamps.of(ended(MONDAY, LocalTime.of(10, 0)), null, null, OFFICE)
                        .onTime())
                .isTrue();
    }

    @Test
    void whatIsOpenIsNotInTheRecord() {
        FollowUp open = ended(null, null).ended(FollowUpState.OPEN, null);
        assertThatThrownBy(() -> Stamps.of(open, null, null, OFFICE)).isInstanceOf(IllegalArgumentException.class);
    }
}
