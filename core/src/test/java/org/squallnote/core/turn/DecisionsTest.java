package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Decisions by hand among the messages of a story. */
class DecisionsTest {

    private static final List<TurnEvent> CHASED = story("chased twice, answered once");
    private static final List<TurnEvent> THANKED = story("a promise that nobody asked for");

    private static List<TurnEvent> story(String name) {
        return Stories.all().stream()
                .filter(story -> story.name().equals(name))
                .findFirst()
                .orElseThrow()
                .events();
    }

    private static HandDecision decision(Turn turn, Instant lastKnown) {
        Optional<CloseReason> reason = turn == Turn.CLOSED ? Optional.of(CloseReason.DONE_ELSEWHERE) : Optional.empty();
        return new HandDecision(turn, reason, lastKnown.plusSeconds(60), lastKnown);
    }

    @Test
    void closedStaysClosedUntilSomebodyAsksAgain() {
        HandDecision closed = decision(Turn.CLOSED, CHASED.get(0).sentAt());

        assertThat(TurnFold.over(CHASED.subList(0, 1))
                        .state(Optional.of(closed))
                        .turn())
                .isEqualTo(Turn.CLOSED);
        TurnState opened = TurnFold.over(CHASED.subList(0, 2)).state(Optional.of(closed));
        assertThat(opened.turn()).isEqualTo(Turn.WITH_ME);
        assertThat(opened.reopenedBy()).contains(CHASED.get(1).messageId());
        assertThat(opened.debts())
                .singleElement()
                .extracting(Debt::messageId)
                .isEqualTo(CHASED.get(1).messageId());
    }

    @Test
    void thanksDoNotOpenAClosedThread() {
        HandDecision closed = decision(Turn.CLOSED, THANKED.get(0).sentAt());
        assertThat(TurnFold.over(THANKED).state(Optional.of(closed)).turn()).isEqualTo(Turn.CLOSED);
    }

    @Test
    void noReplyOwedHoldsUntilANewAsk() {
        HandDecision none = decision(Turn.NOBODY, CHASED.get(0).sentAt());
        assertThat(TurnFold.over(CHASED.subList(0, 1)).state(Optional.of(none)).turn())
                .isEqualTo(Turn.NOBODY);
        assertThat(TurnFold.over(CHASED.subList(0, 2)).state(Optional.of(none)).turn())
                .isEqualTo(Turn.WITH_ME);
    }

    @Test
    void handedToTheOtherSideAwaitsThoseWhomIOwed() {
        HandDecision handed = decision(Turn.WITH_OTHERS, CHASED.get(0).sentAt());
        TurnState state = TurnFold.over(CHASED.subList(0, 1)).state(Optional.of(handed));
        assertThat(state.turn()).isEqualTo(Turn.WITH_OTHERS);
        assertThat(state.awaited())
                .singleElement()
                .extracting(one -> one.party().name())
                .isEqualTo("Will");
        assertThat(state.since()).contains(handed.decidedAt());
    }

    @Test
    void aReasonBelongsToClosingOnly() {
        Instant now = Instant.EPOCH;
        assertThatThrownBy(() -> new HandDecision(Turn.CLOSED, Optional.empty(), now, now))
                .hasMessageContaining("reason");
        assertThatThrownBy(() -> new HandDecision(Turn.WITH_ME, Optional.empty(), now, now))
                .hasMessageContaining("not by hand");
    }
}
