package org.squallnote.e2e;

import java.time.Duration;

/**
 * How long a wait may take before it has failed. A machine that is busy with something else is slow at everything, so
 * it is measured by how long the application took to start: a failed wait costs seconds on a quiet machine, and a busy
 * one fails nothing that only takes longer.
 */
final class Patience {

    /** A machine that was quiet when the application started may be busy later. */
    private static final Duration LEAST = Duration.ofSeconds(30);

    private static final Duration MOST = Duration.ofSeconds(120);

    /** On a quiet machine the application starts in about four seconds. */
    private static final int STARTS = 3;

    private static volatile Duration now = LEAST;

    private Patience() {}

    static void started(Duration took) {
        Duration wanted = took.multipliedBy(STARTS);
        now = wanted.compareTo(LEAST) < 0 ? LEAST : wanted.compareTo(MOST) > 0 ? MOST : wanted;
    }

    static Duration now() {
        return now;
    }
}
