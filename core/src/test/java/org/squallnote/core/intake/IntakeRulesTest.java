package org.squallnote.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;

class IntakeRulesTest {

    private static final Instant ADDED = Instant.parse("2026-03-02T09:00:00Z");

    @Test
    void intakeStartsWithWhatIsRecentAndUnanswered() {
        Instant recent = ADDED.minus(Duration.ofDays(3));

        assertThat(IntakeStart.of(Direction.INCOMING, recent, ADDED, false)).isEqualTo(Decision.UNDECIDED);
        assertThat(IntakeStart.of(Direction.INCOMING, recent, ADDED, true)).isEqualTo(Decision.NOT_ASKED);
        assertThat(IntakeStart.of(Direction.OUTGOING, recent, ADDED, false)).isEqualTo(Decision.NOT_ASKED);
        assertThat(IntakeStart.of(Direction.INCOMING, ADDED.minus(Duration.ofDays(15)), ADDED, false))
                .isEqualTo(Decision.NOT_ASKED);
    }

    @Test
    void heapsFollowFromNatureAndAsk() {
        assertThat(Heap.of(Nature.PERSON, true)).isEqualTo(Heap.ASKS_YOU);
        assertThat(Heap.of(Nature.PERSON, false)).isEqualTo(Heap.TO_READ);
        assertThat(Heap.of(Nature.BULK, false)).isEqualTo(Heap.AUTOMATIC);
        // The user has said that this sender asks, whatever the headers say.
        assertThat(Heap.of(Nature.BULK, true)).isEqualTo(Heap.ASKS_YOU);
        assertThat(Heap.of(Nature.BOUNCE, false)).isEqualTo(Heap.ASKS_YOU);
        assertThat(Heap.of(Nature.INVITATION, false)).isEqualTo(Heap.ASKS_YOU);
    }
}
