package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.message.Messages.MONDAY;
import static org.squallnote.core.message.Messages.TILDA;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Parties;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.Debts;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.FactsBuilder;
import org.squallnote.core.turn.TurnState;
import org.squallnote.core.turn.TurnStateBuilder;

class AnswerEffectTest {

    private static final UUID ASK = UUID.randomUUID();
    private static final UUID ANSWER = UUID.randomUUID();
    private static final LocalDate FRIDAY = LocalDate.of(2026, 3, 6);

    private static FollowUp followUp(boolean forReply, LocalDate day, UUID answerSeen) {
        return FollowUpBuilder.builder()
                .id(UUID.randomUUID())
                .owner(new UUID(0, 1))
                .title("Answer Tilda")
                .replyDay(day)
                .priority(Priority.NORMAL)
                .forReply(forReply)
                .place("")
                .people(new Parties(List.of()))
                .checklist(new Checklist(List.of()))
                .note("")
                .answerSeen(answerSeen)
                .state(FollowUpState.OPEN)
                .createdAt(MONDAY)
                .build();
    }

    private static Facts says(boolean thanks, boolean promises) {
        return FactsBuilder.builder(Facts.SILENT)
                .thanksOnly(thanks)
                .promises(promises)
                .build();
    }

    private static TurnState owing(LocalDateTime by) {
        Debt debt = Debts.asked(TILDA, ASK, MONDAY, Optional.ofNullable(by));
        return TurnStateBuilder.builder(TurnState.START).debts(List.of(debt)).build();
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
        Debt debt = Debts.asked(TILDA, ASK, MONDAY, Optional.empty());
        TurnState paused = TurnStateBuilder.builder(TurnState.START)
                .paused(List.of(new TurnState.Paused(debt, List.of(TILDA.address()), ANSWER)))
                .build();
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
