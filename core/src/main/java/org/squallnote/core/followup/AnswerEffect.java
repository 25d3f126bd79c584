package org.squallnote.core.followup;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.TurnState;

/** What becomes of an open follow-up when an answer of mine to its asker is seen. */
public sealed interface AnswerEffect {

    /** Nothing; also where I asked back, since it goes on when they have answered. */
    record None() implements AnswerEffect {}

    /** It ends by itself. */
    record Done() implements AnswerEffect {}

    /** I am asked whether it is done. */
    record Asked() implements AnswerEffect {}

    /** I promised another day. */
    record Moved(LocalDate day, @Nullable LocalTime time) implements AnswerEffect {}

    /**
     * The effect.
     *
     * @param asked the messages of the follow-up that the answer goes to the writers of
     * @param answerId the answer
     * @param facts what the answer says
     * @param state of the thread after the answer
     */
    static AnswerEffect of(FollowUp followUp, Set<UUID> asked, UUID answerId, Facts facts, TurnState state) {
        boolean askedBack = state.paused().stream()
                .anyMatch(rest -> asked.contains(rest.debt().messageId()));
        if (asked.isEmpty() || facts.thanksOnly() || askedBack) {
            return new None();
        }
        Optional<Debt> owed = state.debts().stream()
                .filter(debt ->
                        asked.contains(debt.messageId()) || debt.messageId().equals(answerId))
                .findFirst();
        if (owed.isEmpty()) {
            return followUp.forReply() ? new Done() : followUp.answerSeen() == null ? new Asked() : new None();
        }
        Optional<LocalDateTime> promised =
                facts.putsOff(owed.get().what()) ? owed.get().by() : Optional.empty();
        return promised.map(by -> moved(followUp, by)).orElseGet(None::new);
    }

    private static AnswerEffect moved(FollowUp followUp, LocalDateTime by) {
        LocalDate day = by.toLocalDate();
        @Nullable LocalTime time = by.toLocalTime().equals(LocalTime.MAX) ? null : by.toLocalTime();
        boolean same = day.equals(followUp.replyDay()) && Objects.equals(time, followUp.replyTime());
        return same ? new None() : new Moved(day, time);
    }
}
