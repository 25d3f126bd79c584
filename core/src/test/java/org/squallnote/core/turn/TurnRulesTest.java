package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;

class TurnRulesTest {

    private static final Party INES = new Party("Ines Calloway", "ines@merrowquay.example");
    private static final Party TILDA = new Party("Tilda Brandt", "tilda@cranefirm.example");
    private static final Instant START = Instant.parse("2026-03-02T09:00:00Z");

    @Test
    void theLastMessageOfAPersonDecides() {
        TurnEvent ask = in(0);
        TurnEvent again = in(5);
        TurnEvent answer = out(10);

        assertThat(TurnRules.after(List.of(ask, again), Optional.empty()))
                .isEqualTo(new TurnState(
                        Turn.WITH_ME, Optional.of(at(0)), Optional.of(ask.messageId()), List.of(), Optional.empty()));
        assertThat(TurnRules.after(List.of(ask, again, answer), Optional.empty()))
                .isEqualTo(new TurnState(
                        Turn.WITH_OTHERS,
                        Optional.of(at(10)),
                        Optional.of(answer.messageId()),
                        List.of(TILDA),
                        Optional.empty()));
    }

    @Test
    void automaticMessagesDecideNothing() {
        assertThat(TurnRules.after(List.of(automatic(1)), Optional.empty()).turn())
                .isEqualTo(Turn.NOBODY);
        assertThat(TurnRules.after(List.of(out(0), automatic(1)), Optional.empty())
                        .turn())
                .isEqualTo(Turn.WITH_OTHERS);
    }

    @Test
    void aClosedThreadOpensAgainWhenTheyWriteAgain() {
        HandDecision closed = close(10);
        TurnEvent again = in(20);

        assertThat(TurnRules.after(List.of(in(0)), Optional.of(closed)).turn()).isEqualTo(Turn.CLOSED);
        TurnState reopened = TurnRules.after(List.of(in(0), again), Optional.of(closed));
        assertThat(reopened.turn()).isEqualTo(Turn.WITH_ME);
        assertThat(reopened.reopenedBy()).contains(again.messageId());
        assertThat(reopened.since()).contains(at(20));
    }

    @Test
    void myOwnOrAnAutomaticMessageLeavesItClosed() {
        assertThat(TurnRules.after(List.of(in(0), out(20), automatic(30)), Optional.of(close(10)))
                        .turn())
                .isEqualTo(Turn.CLOSED);
    }

    @Test
    void aMessageThatWasOnItsWayWhenIClosedOpensTheThread() {
        // Sent a minute before closing, but not known then: the newest known one was sent at 0.
        HandDecision closed = new HandDecision(Turn.CLOSED, Optional.of(CloseReason.ANSWERED), at(10), at(0));

        assertThat(TurnRules.after(List.of(in(0), in(9)), Optional.of(closed)).turn())
                .isEqualTo(Turn.WITH_ME);
    }

    @Test
    void noReplyOwedStandsUntilSomebodyWrites() {
        HandDecision nobody = new HandDecision(Turn.NOBODY, Optional.empty(), at(10), at(0));

        assertThat(TurnRules.after(List.of(in(0)), Optional.of(nobody)).turn()).isEqualTo(Turn.NOBODY);
        assertThat(TurnRules.after(List.of(in(0), in(20)), Optional.of(nobody)).turn())
                .isEqualTo(Turn.WITH_ME);
    }

    @Test
    void theTurnCanBeHandedOver() {
        HandDecision handed = new HandDecision(Turn.WITH_OTHERS, Optional.empty(), at(10), at(0));

        assertThat(TurnRules.after(List.of(in(0)), Optional.of(handed)).awaited())
                .containsExactly(TILDA);
    }

    @Test
    void theOrderOfArrivalDoesNotMatter() {
        for (long seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            List<TurnEvent> messages = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                int minute = i;
                messages.add(
                        switch (random.nextInt(3)) {
                            case 0 -> in(minute);
                            case 1 -> out(minute);
                            default -> automatic(minute);
                        });
            }
            Optional<HandDecision> decision = random.nextBoolean() ? Optional.of(close(4)) : Optional.empty();
            TurnState inOrder = TurnRules.after(messages, decision);
            Collections.shuffle(messages, random);
            assertThat(TurnRules.after(messages, decision)).as("seed %d", seed).isEqualTo(inOrder);
        }
    }

    @Test
    void aReasonBelongsToClosingOnly() {
        assertThatThrownBy(() -> new HandDecision(Turn.CLOSED, Optional.empty(), at(1), at(0)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new HandDecision(Turn.WITH_ME, Optional.empty(), at(1), at(0)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static HandDecision close(int minute) {
        return new HandDecision(Turn.CLOSED, Optional.of(CloseReason.ANSWERED), at(minute), at(minute));
    }

    private static Instant at(int minute) {
        return START.plusSeconds(60L * minute);
    }

    private static TurnEvent in(int minute) {
        return event(minute, Direction.INCOMING, Nature.PERSON, TILDA, INES);
    }

    private static TurnEvent out(int minute) {
        return event(minute, Direction.OUTGOING, Nature.PERSON, INES, TILDA);
    }

    private static TurnEvent automatic(int minute) {
        return event(minute, Direction.INCOMING, Nature.AUTO_REPLY, TILDA, INES);
    }

    private static TurnEvent event(int minute, Direction direction, Nature nature, Party from, Party to) {
        return new TurnEvent(UUID.randomUUID(), at(minute), direction, nature, from, List.of(to));
    }
}
