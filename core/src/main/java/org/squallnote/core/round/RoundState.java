package org.squallnote.core.round;

import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How far a walk has come. It is left at any step and taken up again there; one that was left for days begins anew.
 *
 * @param startedAt when it was begun; null before the first one
 * @param step where it is
 * @param kept the keys of lines that stay as they are in this walk
 * @param finishedAt when it came to its end; null while it is under way
 * @param lastFinishedAt when one came to its end last; null where none has
 */
public record RoundState(
        @Nullable Instant startedAt,
        RoundStep step,
        Set<String> kept,
        @Nullable Instant finishedAt,
        @Nullable Instant lastFinishedAt) {

    /** Nobody has walked yet. */
    public static final RoundState NONE = new RoundState(null, RoundStep.INTAKE, Set.of(), null, null);

    /** More lines are not kept in mind. */
    public static final int MOST_KEPT = 2_000;

    /** One that was left for longer is another week's. */
    private static final Duration STALE = Duration.ofDays(5);

    /** Copies the set. */
    public RoundState {
        kept = Set.copyOf(kept);
    }

    /** Whether one is under way. */
    public boolean underWay(Instant now) {
        return startedAt != null && finishedAt == null && now.isBefore(startedAt.plus(STALE));
    }

    /** A walk from its beginning. */
    public RoundState begun(Instant now) {
        return new RoundState(now, RoundStep.INTAKE, Set.of(), null, lastFinishedAt);
    }

    /** At another step. */
    public RoundState at(RoundStep other) {
        return new RoundState(startedAt, other, kept, null, lastFinishedAt);
    }

    /** With a line that stays as it is. */
    public RoundState keeping(String key) {
        Set<String> more = new HashSet<>(kept);
        if (more.size() < MOST_KEPT) {
            more.add(key);
        }
        return new RoundState(startedAt, step, more, finishedAt, lastFinishedAt);
    }

    /** At its end. */
    public RoundState finished(Instant now) {
        return new RoundState(startedAt, RoundStep.AHEAD, kept, now, now);
    }

    /** Whether a line is still to be decided about. */
    public boolean isLeft(String key) {
        return !kept.contains(key);
    }
}
