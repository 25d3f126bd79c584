package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.squallnote.core.message.Messages.MONDAY;
import static org.squallnote.core.message.Messages.TILDA;
import static org.squallnote.core.message.Messages.mail;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class FollowUpTest {

    private static final LocalDate FRIDAY = LocalDate.of(2026, 3, 6);
    private static final UUID ID = UUID.randomUUID();

    private static Content content(String title, Boolean forReply, Content.Details details) {
        return new Content(title, FRIDAY, LocalTime.NOON, true, null, 20, null, forReply, details);
    }

    private static FollowUp made(Content content) {
        return FollowUp.made(ID, new UUID(0, 1), content, Optional.of(mail("Crane")), MONDAY);
    }

    @Test
    void oneOfAMessageConcernsItsWriterAndEndsWithTheAnswerThatItsTitleNames() {
        FollowUp followUp = made(content("  Answer \n Tilda ", null, null));
        assertThat(followUp.title()).isEqualTo("Answer Tilda");
        assertThat(followUp.people().list()).containsExactly(TILDA);
        assertThat(followUp.forReply()).isTrue();
        assertThat(followUp.state()).isEqualTo(FollowUpState.OPEN);
        assertThat(made(content("Order the paint", null, null)).forReply()).isFalse();
        assertThat(made(content("Order the paint", true, null)).forReply()).isTrue();
    }

    @Test
    void oneOfNoMessageHasNoAnswerThatEndsIt() {
        FollowUp followUp =
                FollowUp.made(ID, new UUID(0, 1), content("Answer Tilda", true, null), Optional.empty(), MONDAY);
        assertThat(followUp.forReply()).isFalse();
        assertThat(followUp.people().list()).isEmpty();
    }

    @Test
    void withoutATitleItIsRefused() {
        assertThatThrownBy(() -> made(content(" \n ", null, null))).hasMessageContaining("needs a title");
    }

    @Test
    void aTimeWithoutADayIsNone() {
        FollowUp followUp = made(new Content("Call", null, LocalTime.NOON, false, null, null, null, null, null));
        assertThat(followUp.replyTime()).isNull();
        assertThat(followUp.replyBy()).isEmpty();
        assertThat(followUp.expectedMinutes()).isEqualTo(15);
    }

    @Test
    void whatIsNotGivenStaysAndStepsWithoutWordsGo() {
        FollowUp followUp = made(content(
                "Call",
                null,
                new Content.Details(
                        FRIDAY.minusDays(1),
                        " yard ",
                        List.of(TILDA, TILDA),
                        List.of(new Checklist.Item(" one\tstep ", true), new Checklist.Item("  ", false)),
                        "note")));
        assertThat(followUp.place()).isEqualTo("yard");
        assertThat(followUp.people().list()).containsExactly(TILDA);
        assertThat(followUp.checklist().items()).containsExactly(new Checklist.Item("one step", true));

        FollowUp changed = followUp.answerSeen(UUID.randomUUID()).changed(content("Call her", false, null));
        assertThat(changed.title()).isEqualTo("Call her");
        assertThat(changed.startDay()).isEqualTo(FRIDAY.minusDays(1));
        assertThat(changed.checklist()).isEqualTo(followUp.checklist());
        assertThat(changed.answerSeen())
                .as("who changes it has seen the answer")
                .isNull();
        assertThat(changed.version()).isEqualTo(followUp.version());
    }
}
