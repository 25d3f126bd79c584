package org.squallnote.server.arrival;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.intake.Decision;
import org.squallnote.store.message.Asks;

/** The decision about a message, as it stands in the history. */
public record DecisionState(
        Decision decision, @Nullable Instant at, @Nullable Asks correction) {}
