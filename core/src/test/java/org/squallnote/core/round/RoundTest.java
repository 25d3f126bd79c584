package org.squallnote.core.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;

class RoundTest {

    private static final Instant NOW = Instant.parse("2026-03-06T15:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 6);

    private static FollowUp followUp(LocalDate replyDay, LocalDate startDay) {
        return FollowUp.made(
                UUID.randomUUID(),
                UUID.randomUUID(),
                new Content(
                        "Send it",
                        replyDay,
                        null,
                        false,
                        null,
                        null,
                        Priority.NORMAL,
                        false,
                        new Content.Details(startDay, "", List.of(), List.of(), "")),
                Optional.empty(),
                NOW);
    }

    @Test
    void isTakenUpWhereItWasLeftUntilItIsAnotherWeeks() {
        RoundState begun = RoundState.NONE.begun(NOW);
        assertThat(RoundState.NONE.underWay(NOW)).isFalse();
        RoundState left = begun.at(RoundStep.WITH_ME);
        assertThat(left.underWay(NOW.plus(Duration.ofDays(2)))).isTrue();
        assertThat(left.step()).isEqualTo(RoundStep.WITH_ME);
        assertThat(left.underWay(NOW.plus(Duration.ofDays(6)))).isFalse();
        assertThat(left.begun(NOW).step())
                .as("another walk, from its beginning")
                .isEqualTo(RoundStep.INTAKE);
    }

    @Test
    void hasABeginningAndAnEnd() {
        RoundState at = RoundState.NONE.begun(NOW);
        assertThat(at.step()).isEqualTo(RoundStep.INTAKE);
        for (RoundStep step : RoundStep.values()) {
            at = at.at(step);
            assertThat(at.underWay(NOW)).isTrue();
        }
        assertThat(at.step()).isEqualTo(RoundStep.AHEAD);
        RoundState over = at.finished(NOW);
        assertThat(over.underWay(NOW)).isFalse();
        assertThat(over.begun(NOW.plus(Duration.ofDays(7))).lastFinishedAt()).isEqualTo(NOW);
    }

    @Test
    void undatedIsWhatNothingWillBringBackToMind() {
        FollowUp bare = followUp(null, null);
        assertThat(Overlooked.isUndated(bare, Set.of(), TODAY)).isTrue();
        assertThat(Overlooked.isUndated(bare, Set.of(bare.id()), TODAY))
                .as("planned")
                .isFalse();
        assertThat(Overlooked.isUndated(followUp(TODAY, null), Set.of(), TODAY)).isFalse();
        assertThat(Overlooked.isUndated(followUp(null, TODAY.plusDays(3)), Set.of(), TODAY))
                .as("comes back by itself")
                .isFalse();
        assertThat(Overlooked.isUndated(followUp(null, TODAY.minusDays(3)), Set.of(), TODAY))
                .as("has come back")
                .isTrue();
        assertThat(Overlooked.isUndated(bare.ended(FollowUpState.DONE, NOW), Set.of(), TODAY))
                .isFalse();
    }

    @Test
    void lateAndPutOffForLongAreByTheDay() {
        LocalDateTime now = TODAY.atTime(15, 0);
        assertThat(Overlooked.isLate(followUp(TODAY, null), now)).isFalse();
        assertThat(Overlooked.isLate(followUp(TODAY.minusDays(1), null), now)).isTrue();
        assertThat(Overlooked.isPutOffLong(followUp(null, TODAY.plusDays(14)), TODAY))
                .isFalse();
        assertThat(Overlooked.isPutOffLong(followUp(null, TODAY.plusDays(15)), TODAY))
                .isTrue();
    }
}
