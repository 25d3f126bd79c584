package org.squallnote.server.arrival;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.intake.Decision;
import org.squallnote.store.message.Asks;
import org.squallnote.store.message.StoredMessage;

/** The decision about a message, and what the user has corrected in it, as they stand in the history. */
public record DecisionState(
        Decision decision, @Nullable Instant at, @Nullable Asks correction) {

    /** As they stand now. */
    public static DecisionState of(StoredMessage message) {
        return new DecisionState(message.decision(), message.decidedAt(), message.correction());
    }
}
