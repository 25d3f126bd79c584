package org.squallnote.server.arrival;

import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;

/** The decision about a message, until when it is put off, and what the user has corrected in it, as they stand in the history. */
public record DecisionState(
        Decision decision,
        @Nullable Instant at,
        @Nullable Asks correction,
        @Nullable LocalDate putOffUntil) {

    /** As they stand now. */
    public static DecisionState of(StoredMessage message) {
        return new DecisionState(message.decision(), message.decidedAt(), message.correction(), message.putOffUntil());
    }
}
