package org.squallnote.core.time;

import java.time.Instant;

/**
 * A meeting or another time that is taken.
 *
 * @param fromInclusive its start
 * @param toExclusive its end, after the start
 */
public record Busy(Instant fromInclusive, Instant toExclusive) {

    /** Checks that it has a length. */
    public Busy {
        if (!fromInclusive.isBefore(toExclusive)) {
            throw new IllegalArgumentException("Nothing can last from " + fromInclusive + " to " + toExclusive);
        }
    }
}
