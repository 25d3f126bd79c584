package org.squallnote.server.thread;

import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;

/** A decision made by hand about a thread, as it stands in the history; all parts null when there is none. */
record HandState(
        @Nullable Turn turn,
        @Nullable CloseReason reason,
        @Nullable Instant at,
        @Nullable Instant lastKnown,
        @Nullable LocalDate chaseOn,
        @Nullable Attention attention) {

    static final HandState NONE = new HandState(null, null, null, null, null, null);

    static HandState of(StoredThread thread) {
        return new HandState(
                thread.handTurn(),
                thread.handReason(),
                thread.handAt(),
                thread.handLastKnown(),
                thread.chaseHand(),
                thread.attention() == Attention.MINE ? null : thread.attention());
    }

    /** The same with another turn. What was chosen for an earlier wait is over with it; whose it is stays. */
    HandState decided(Turn other, @Nullable CloseReason why, Instant now, Instant known) {
        return new HandState(other, why, now, known, null, attention);
    }

    /** The same with another day on which those awaited are to be reminded. */
    HandState chasedOn(@Nullable LocalDate day) {
        return new HandState(turn, reason, at, lastKnown, day, attention);
    }

    /** The same with another say in how much it is mine. */
    HandState attended(Attention other) {
        return new HandState(turn, reason, at, lastKnown, chaseOn, other);
    }
}
