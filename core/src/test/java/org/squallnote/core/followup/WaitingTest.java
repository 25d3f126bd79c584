package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Party;

class WaitingTest {

    private static final Instant SINCE = Instant.parse("2026-03-02T09:00:00Z");
    private static final Instant LATER = SINCE.plusSeconds(60);
    private static final UUID THREAD = new UUID(1, 1);
    private static final UUID OTHER = new UUID(1, 2);
    private static final Party BOB = new Party("Bob Hale", "bob@hale.example");
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 9);

    private static Waiting waiting(Party person, UUID thread, LocalDate until) {
        return new Waiting(person, thread, until, SINCE, null, null);
    }

    @Test
    void endsWhenThePersonWritesWhereverThatIs() {
        Waiting bob = waiting(BOB, null, null);
        assertThat(bob.isEndedBy(new Party("B. Hale", "bob@hale.example"), OTHER, LATER))
                .isTrue();
        assertThat(bob.isEndedBy(new Party("Tilda", "tilda@x.example"), OTHER, LATER))
                .isFalse();
        assertThat(bob.isEndedBy(BOB, OTHER, SINCE)).as("what was there before").isFalse();
    }

    @Test
    void whoIsKnownByNameIsKnownByIt() {
        Waiting bob = waiting(new Party("bob hale", ""), null, null);
        assertThat(bob.isEndedBy(BOB, OTHER, LATER)).isTrue();
        assertThat(bob.isEndedBy(new Party("", "x@x.example"), OTHER, LATER)).isFalse();
    }

    @Test
    void endsWhenSomebodyWritesInTheThread() {
        assertThat(waiting(null, THREAD, null).isEndedBy(BOB, THREAD, LATER)).isTrue();
        assertThat(waiting(null, THREAD, null).isEndedBy(BOB, OTHER, LATER)).isFalse();
    }

    @Test
    void endsOnItsDayWhateverElseComes() {
        Waiting bob = waiting(BOB, null, MONDAY);
        assertThat(bob.isOver(MONDAY.minusDays(1))).isFalse();
        assertThat(bob.isOver(MONDAY)).isTrue();
    }

    @Test
    void endsOnceWithWhatCameFirst() {
        Waiting ended = waiting(BOB, THREAD, MONDAY).ended(OTHER, "Bob Hale", "Here\n it is.", LATER);
        assertThat(ended.isOver(MONDAY.minusDays(3))).isTrue();
        assertThat(ended.come())
                .isNotNull()
                .satisfies(come -> assertThat(come.words()).isEqualTo("Here it is."));
        assertThat(ended.isEndedBy(BOB, THREAD, LATER.plusSeconds(5))).isFalse();
    }

    @Test
    void waitsForSomething() {
        assertThatThrownBy(() -> waiting(null, null, null)).hasMessageContaining("for whom");
    }
}
