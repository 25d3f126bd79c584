package org.squallnote.sources;

import java.time.Duration;

/** How long to wait before the next attempt: doubling from one second up to two minutes. */
public final class Backoff {

    private static final Duration LONGEST = Duration.ofMinutes(2);
    private Duration next = Duration.ofSeconds(1);

    /** The next wait. */
    public Duration next() {
        Duration now = next;
        next = next.multipliedBy(2).compareTo(LONGEST) > 0 ? LONGEST : next.multipliedBy(2);
        return now;
    }

    /** Starts over after something worked. */
    public void reset() {
        next = Duration.ofSeconds(1);
    }
}
