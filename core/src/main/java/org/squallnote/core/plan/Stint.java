package org.squallnote.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A time during which a follow-up was worked at.
 *
 * @param endedAt absent while it is worked at
 * @param correctedAt when it was put right by hand; null where it never was
 */
public record Stint(
        UUID id,
        UUID followUpId,
        Instant startedAt,
        @Nullable Instant endedAt,
        @Nullable Instant correctedAt) {

    /** What of it lies after a moment. */
    public Stint since(Instant moment) {
        return startedAt.isBefore(moment) ? new Stint(id, followUpId, moment, endedAt, correctedAt) : this;
    }

    /** How long, in whole minutes; of one under way until now. */
    public int minutes(Instant now) {
        Instant end = Optional.ofNullable(endedAt).orElse(now);
        return (int) Math.max(0, Duration.between(startedAt, end).toMinutes());
    }
}
