package org.squallnote.core.round;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * How far a walk has come. It is left at any step and taken up again there; one that was left for days begins anew.
 *
 * @param startedAt when it was begun; null before the first one
 * @param step where it is
 * @param finishedAt when it came to its end; null while it is under way
 * @param lastFinishedAt when one came to its end last; null where none has
 */
public record RoundState(
        @Nullable Instant startedAt,
        RoundStep step,
        @Nullable Instant finishedAt,
        @Nullable Instant lastFinishedAt) {

    /** Nobody has walked yet. */
    public static final RoundState NONE = new RoundState(null, RoundStep.INTAKE, null, null);

    /** One that was left for longer is another week's. */
    private static final Duration STALE = Duration.ofDays(5);

    /** Whether one is under way. */
    public boolean underWay(Instant now) {
        return startedAt != null && finishedAt == null && now.isBefore(startedAt.plus(STALE));
    }

    /** A walk from its beginning. */
    public RoundState begun(Instant now) {
        return new RoundState(now, RoundStep.INTAKE, null, lastFinishedAt);
    }

    /** At another step. */
    public RoundState at(RoundStep other) {
        return new RoundState(startedAt, other, null, lastFinishedAt);
    }

    /** At its end. */
    public RoundState finished(Instant now) {
        return new RoundState(startedAt, RoundStep.AHEAD, now, now);
    }
}
