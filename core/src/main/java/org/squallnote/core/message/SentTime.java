package org.squallnote.core.message;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * When a mail was sent: what it says itself (RFC 5322 section 3.6.1), unless that cannot be. Nothing is sent after the
 * server has received it; a writer whose clock is fast would otherwise seem to write after my answer.
 */
public final class SentTime {

    /** A date further ahead than this of the one that a file gives for the reception, without a zone, is wrong. */
    private static final Duration FILE_TOLERANCE = Duration.ofDays(1);

    private static final Instant BEFORE_MAIL = Instant.parse("1980-01-01T00:00:00Z");

    private SentTime() {}

    /**
     * The moment.
     *
     * @param said what the mail says
     * @param received what the server says, or the file
     * @param fromFile whether it comes from a file
     */
    public static Instant of(Optional<Instant> said, Instant received, boolean fromFile) {
        Instant latest = fromFile ? received.plus(FILE_TOLERANCE) : received;
        return said.filter(at -> at.isAfter(BEFORE_MAIL) && !at.isAfter(latest)).orElse(received);
    }
}
