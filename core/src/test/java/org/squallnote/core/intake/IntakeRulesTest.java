package org.squallnote.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.time.WorkingTime;

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

    @Test
    void anAnswerIsWantedByTheNamedDateElseAfterTheUsualWorkingDays() {
        WorkingTime office = WorkingTime.officeHours(ZoneId.of("Europe/London"));
        Instant fridayEvening = Instant.parse("2026-03-06T18:00:00Z");
        assertThat(WantedBy.of(Optional.empty(), Optional.empty(), fridayEvening, office, 2))
                .isEqualTo(LocalDateTime.of(2026, 3, 10, 23, 59));
        assertThat(WantedBy.of(
                        Optional.of(LocalDate.of(2026, 3, 9)), Optional.of(LocalTime.NOON), fridayEvening, office, 2))
                .isEqualTo(LocalDateTime.of(2026, 3, 9, 12, 0));
    }
}
