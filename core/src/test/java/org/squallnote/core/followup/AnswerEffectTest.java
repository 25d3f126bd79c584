package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.message.Messages.MONDAY;
import static org.squallnote.core.message.Messages.TILDA;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Parties;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.DebtBuilder;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.FactsBuilder;
import org.squallnote.core.turn.TurnState;

class AnswerEffectTest {

    private static final UUID ASK = UUID.randomUUID();
    private static final UUID ANSWER = UUID.randomUUID();
    private static final LocalDate FRIDAY = LocalDate.of(2026, 3, 6);

    private static FollowUp followUp(boolean forReply, LocalDate day, UUID answerSeen) {
        return new FollowUp(
                UUID.randomUUID(),
                new UUID(0, 1),
                "Answer Tilda",
                null,
                day,
                null,
                false,
                null,
                Priority.NORMAL,
                forReply,
                null,
                "",
                new Parties(List.of()),
                new Checklist(List.of()),
                "",
                null,
                answerSeen,
                FollowUpState.OPEN,
                MONDAY,
                null,
                0);
    }

    private static Facts says(boolean thanks, boolean promises) {
        return FactsBuilder.builder()
                .nature(Nature.PERSON)
                .asked(Set.of())
                .what("")
                .asks(Map.of())
                .askBy(Optional.empty())
                .thanksOnly(thanks)
                .promises(promises)
                .promisedBy(Optional.empty())
                .promised("")
                .withdrawsAbout("")
                .handsTo(Set.of())
                .returnsOn(Optional.empty())
                .failedRecipients(List.of())
                .build();
    }

    private static TurnState owing(LocalDateTime by) {
        Debt debt = DebtBuilder.builder()
                .reason(Debt.Reason.ASKED)
                .to(TILDA)
                .messageId(ASK)
                .since(MONDAY)
                .by(Optional.ofNullable(by))
                .what("")
                .others(Set.of())
                .answeredBy(Optional.empty())
                .answeredIn(Optional.empty())
                .promise(Optional.empty())
                .build();
        return new TurnState(
                List.of(debt),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Map.of(),
                false,
                Optional.empty(),
                Optional.empty());
    }

    private static AnswerEffect effect(FollowUp followUp, Facts facts, TurnState state) {
        return AnswerEffect.of(followUp, Set.of(ASK), ANSWER, facts, state);
    }

    @Test
    void anAnswerEndsWhatIsThereForAnAnswer() {
        assertThat(effect(followUp(true, FRIDAY, null), says(false, false), TurnState.START))
                .isEqualTo(new AnswerEffect.Done());
    }

    @Test
    void ofOtherThingsItIsAskedOnceWhetherTheyAreDone() {
        assertThat(effect(followUp(false, FRIDAY, null), says(false, false), TurnState.START))
                .isEqualTo(new AnswerEffect.Asked());
        assertThat(effect(followUp(false, FRIDAY, ANSWER), says(false, false), TurnState.START))
                .isEqualTo(new AnswerEffect.None());
    }

    @Test
    void thanksAloneAndAnswersToSomebodyElseChangeNothing() {
        FollowUp followUp = followUp(true, FRIDAY, null);
        assertThat(effect(followUp, says(true, false), TurnState.START)).isEqualTo(new AnswerEffect.None());
        assertThat(AnswerEffect.of(followUp, Set.of(), ANSWER, says(false, false), TurnState.START))
                .isEqualTo(new AnswerEffect.None());
    }

    @Test
    void aPromiseMovesItToThePromisedDay() {
        FollowUp followUp = followUp(true, FRIDAY, null);
        assertThat(effect(followUp, says(false, true), owing(LocalDateTime.of(2026, 3, 9, 14, 0))))
                .isEqualTo(new AnswerEffect.Moved(LocalDate.of(2026, 3, 9), LocalTime.of(14, 0)));
        assertThat(effect(
                        followUp,
                        says(false, true),
                        owing(LocalDate.of(2026, 3, 9).atTime(LocalTime.MAX))))
                .isEqualTo(new AnswerEffect.Moved(LocalDate.of(2026, 3, 9), null));
    }

    @Test
    void aPromiseForItsOwnDayOrForNoneLeavesIt() {
        FollowUp followUp = followUp(true, FRIDAY, null);
        assertThat(effect(followUp, says(false, true), owing(FRIDAY.atTime(LocalTime.MAX))))
                .isEqualTo(new AnswerEffect.None());
        assertThat(effect(followUp, says(false, true), owing(null))).isEqualTo(new AnswerEffect.None());
    }

    @Test
    void whileMyQuestionBackIsOpenItGoesOn() {
        Debt debt = DebtBuilder.builder()
                .reason(Debt.Reason.ASKED)
                .to(TILDA)
                .messageId(ASK)
                .since(MONDAY)
                .by(Optional.empty())
                .what("")
                .others(Set.of())
                .answeredBy(Optional.empty())
                .answeredIn(Optional.empty())
                .promise(Optional.empty())
                .build();
        TurnState paused = new TurnState(
                List.of(),
                List.of(new TurnState.Paused(debt, List.of(TILDA.address()), ANSWER)),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Map.of(),
                false,
                Optional.empty(),
                Optional.empty());
        assertThat(effect(followUp(true, FRIDAY, null), says(false, false), paused))
                .isEqualTo(new AnswerEffect.None());
    }

    @Test
    void whatIsLateIsDueTodayAndWhatStartsLaterIsOutOfSight() {
        FollowUp followUp = followUp(true, FRIDAY, null);
        assertThat(followUp.isDueOn(FRIDAY, FRIDAY.minusDays(2))).isTrue();
        assertThat(followUp.isDueOn(FRIDAY.plusDays(3), FRIDAY.plusDays(3))).isTrue();
        assertThat(followUp.isDueOn(FRIDAY.plusDays(3), FRIDAY.plusDays(1))).isFalse();
        assertThat(followUp(true, null, null).isDueOn(FRIDAY, FRIDAY)).isFalse();
        assertThat(followUp.isLater(FRIDAY)).isFalse();
        assertThat(followUp.expectedMinutes()).isEqualTo(15);
    }
}
