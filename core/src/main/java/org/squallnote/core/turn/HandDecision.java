package org.squallnote.core.turn;

import java.time.Instant;
import java.util.Optional;

/**
 * What somebody decided by hand about a thread.
 *
 * @param turn what the thread was set to: {@link Turn#CLOSED}, {@link Turn#NOBODY} (no reply is owed) or
 *     {@link Turn#WITH_OTHERS} (the turn is handed to the other side)
 * @param reason why it was closed, present exactly when it was
 * @param decidedAt when
 * @param lastKnownSentAt the sent date of the newest message that the thread had at that moment: a message
 *     sent later changes the facts, one that arrives late but is older does not
 */
public record HandDecision(Turn turn, Optional<CloseReason> reason, Instant decidedAt, Instant lastKnownSentAt) {

    /** Checks that a reason is given exactly for closing. */
    public HandDecision {
        if (turn == Turn.WITH_ME) {
            throw new IllegalArgumentException("A thread is with me by its messages, not by hand");
        }
        if ((turn == Turn.CLOSED) != reason.isPresent()) {
            throw new IllegalArgumentException("A reason belongs to closing, and only to it");
        }
    }
}
