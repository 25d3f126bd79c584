package org.squallnote.core.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.handover.HandOver.Side;
import org.squallnote.core.handover.HandOver.State;

class HandOverTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");
    private static final Instant TEN = NINE.plusSeconds(3_600);

    private static HandOver in(State state) {
        return HandOverBuilder.builder()
                .identity(HandOver.identity("1@x.example"))
                .giver(new UUID(0, 1))
                .giverMessage(new UUID(0, 2))
                .takerAddress("gus@quay.example")
                .takerName("")
                .state(state)
                .word("")
                .offeredAt(NINE)
                .changedAt(NINE)
                .wantedDay(LocalDate.of(2026, 3, 6))
                .untold(Side.NOBODY)
                .build();
    }

    @Test
    void goesFromSideToSideUntilItIsDone() {
        HandOver done = in(State.OFFERED)
                .to(State.SEEN, Side.TAKER, "", NINE)
                .to(State.ACCEPTED, Side.TAKER, "", NINE)
                .to(State.WORKING, Side.TAKER, "", NINE)
                .to(State.DONE, Side.TAKER, " The ropes are in the shed. ", TEN);
        assertThat(done.word()).isEqualTo("The ropes are in the shed.");
        assertThat(done.changedAt()).isEqualTo(TEN);
        assertThat(done.untold()).isEqualTo(Side.GIVER);
        assertThat(done.state().isOpen()).isFalse();
    }

    @Test
    void theGiverTakesBackWhatIsOpenAndNothingElse() {
        assertThat(in(State.WORKING).to(State.TAKEN_BACK, Side.GIVER, "", TEN).untold())
                .isEqualTo(Side.TAKER);
        assertThat(in(State.OFFERED).allows(State.ACCEPTED, Side.GIVER)).isFalse();
        assertThatThrownBy(() -> in(State.DONE).to(State.TAKEN_BACK, Side.GIVER, "", TEN))
                .hasMessageContaining("has ended already");
    }

    @Test
    void whatHasEndedStaysEnded() {
        for (State ended : State.values()) {
            if (!ended.isOpen()) {
                for (State next : State.values()) {
                    assertThat(in(ended).allows(next, Side.TAKER)).isFalse();
                    assertThat(in(ended).allows(next, Side.GIVER)).isFalse();
                }
            }
        }
    }

    @Test
    void whatIsHandedOnEndsThereOrComesBack() {
        assertThat(in(State.HANDED_ON).allows(State.DONE, Side.TAKER)).isTrue();
        assertThat(in(State.HANDED_ON).allows(State.ACCEPTED, Side.TAKER)).isTrue();
        assertThat(in(State.HANDED_ON).allows(State.WORKING, Side.TAKER)).isFalse();
    }

    @Test
    void theirDayIsHeldAgainstMine() {
        assertThat(in(State.ACCEPTED).taken(LocalDate.of(2026, 3, 9), null).isLaterThanWanted())
                .isTrue();
        assertThat(in(State.ACCEPTED).taken(LocalDate.of(2026, 3, 6), null).isLaterThanWanted())
                .isFalse();
        assertThat(in(State.ACCEPTED).isLaterThanWanted()).isFalse();
    }
}
