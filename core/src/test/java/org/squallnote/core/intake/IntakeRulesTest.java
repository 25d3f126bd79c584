package org.squallnote.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Channel;
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
        assertThat(Heap.of(Nature.AUTO_REPLY, false)).isEqualTo(Heap.AUTOMATIC);
        assertThat(Heap.ASKS_YOU.byWanted()).isTrue();
        assertThat(Heap.TO_READ.byWanted()).as("the newest first").isFalse();
    }

    @Test
    void aRowSaysWhatItAsksAndUnderWhichSubject() {
        IntakeRow asks = row("Crane on\n Thursday", "Could you  book it?", null, null);
        assertThat(asks.about()).isEqualTo("Could you book it?");
        assertThat(asks.subjectBeside()).isEqualTo("Crane on Thursday");
        IntakeRow says = row("Crane on Thursday", "", null, null);
        assertThat(says.about()).isEqualTo("Crane on Thursday");
        assertThat(says.subjectBeside()).as("it says that already").isEmpty();
        IntakeRow chat = row("", "", null, null);
        assertThat(chat.about()).isEqualTo("It begins so");
        assertThat(chat.subjectBeside()).isEmpty();
    }

    @Test
    void aReplyByDatePassesWithItsTimeElseWithItsDay() {
        LocalDate day = LocalDate.of(2026, 3, 4);
        assertThat(row("", "", day, null).isLate(day.atTime(23, 59))).isFalse();
        assertThat(row("", "", day, null).isLate(day.plusDays(1).atStartOfDay()))
                .isTrue();
        assertThat(row("", "", day, LocalTime.NOON).isLate(day.atTime(12, 1))).isTrue();
        assertThat(row("", "", day, LocalTime.NOON).isLate(day.atTime(11, 59))).isFalse();
        assertThat(row("", "", null, null).isLate(day.atStartOfDay())).isFalse();
    }

    private static IntakeRow row(
            String subject, String ask, @Nullable LocalDate replyDay, @Nullable LocalTime replyTime) {
        UUID id = new UUID(0, 1);
        return new IntakeRow(
                id,
                id,
                id,
                Channel.MAIL,
                Nature.PERSON,
                "Tilda",
                "tilda@x.example",
                subject,
                "It begins so",
                !ask.isEmpty(),
                ask,
                ADDED,
                null,
                null,
                replyDay,
                replyTime,
                true,
                false,
                null,
                0);
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
