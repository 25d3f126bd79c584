package org.squallnote.core.figures;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;

/** A stretch of time in which somebody worked at a follow-up that has ended. */
public record WorkedFact(UUID followUpId, Instant startedAt, Instant endedAt) {

    long seconds() {
        return Duration.between(startedAt, endedAt).toSeconds();
    }
}
