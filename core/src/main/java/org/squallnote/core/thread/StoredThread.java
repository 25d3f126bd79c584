package org.squallnote.core.thread;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.HandDecision;
import org.squallnote.core.turn.Turn;

/**
 * A thread with its turn, which is a cache of what core derives from its messages and the decision by hand.
 *
 * @param since since when the turn is as it is
 * @param byMessage the message that made it so
 * @param debts what I owe
 * @param awaited those who owe an answer
 * @param reopenedBy the message that opened it again
 * @param oweBy the earliest day by which I owe something, at its end
 * @param chaseOn the day on which the first of those awaited is to be reminded
 * @param chaseHand the day chosen by hand instead
 * @param closingWord the message that closes it where nobody owes anything: thanks, or that it is settled
 * @param promiseOn the first day for which I have promised something; {@link #UNDATED} where I named none
 * @param attention how much it is mine, as was said by hand
 * @param handTurn the last decision made by hand, with reason, moment and the newest message known then
 */
@RecordBuilder
public record StoredThread(
        UUID id,
        UUID owner,
        Channel channel,
        String subject,
        @Nullable String roomId,
        Turn turn,
        @Nullable Instant since,
        @Nullable UUID byMessage,
        Debts debts,
        Awaiting awaited,
        @Nullable UUID reopenedBy,
        Instant lastMessageAt,
        int messageCount,
        @Nullable Turn handTurn,
        @Nullable CloseReason handReason,
        @Nullable Instant handAt,
        @Nullable Instant handLastKnown,
        @Nullable LocalDateTime oweBy,
        @Nullable LocalDate chaseOn,
        @Nullable LocalDate chaseHand,
        @Nullable UUID closingWord,
        @Nullable LocalDate promiseOn,
        Attention attention,
        int version) {

    /** Stands for the day of a promise without one. */
    public static final LocalDate UNDATED = LocalDate.of(9999, 12, 31);

    /** The last decision made by hand. */
    public Optional<HandDecision> handDecision() {
        if (handTurn == null || handAt == null || handLastKnown == null) {
            return Optional.empty();
        }
        return Optional.of(new HandDecision(handTurn, Optional.ofNullable(handReason), handAt, handLastKnown));
    }
}
