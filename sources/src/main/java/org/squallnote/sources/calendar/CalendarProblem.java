package org.squallnote.sources.calendar;

import java.time.Duration;
import java.util.Optional;

/** A request for a calendar that did not work, with a sentence for the user. */
public final class CalendarProblem extends Exception {

    private static final long serialVersionUID = 1L;

    private final int status;
    private final Duration retryAfter;

    CalendarProblem(int status, String message, Duration retryAfter) {
        super(message);
        this.status = status;
        this.retryAfter = retryAfter;
    }

    CalendarProblem(String message) {
        this(0, message, Duration.ZERO);
    }

    /** What the server answered, zero where it did not. */
    int status() {
        return status;
    }

    /** Whether somebody else has changed meanwhile what was to be changed. */
    boolean isOvertaken() {
        return status == 412;
    }

    /** Whether the same again would be refused again. */
    public boolean isRefusal() {
        return status / 100 == 4 && status != 401 && status != 408 && status != 412 && status != 423 && status != 429;
    }

    /** How long the server asks to wait. */
    Optional<Duration> retryAfter() {
        return retryAfter.isZero() ? Optional.empty() : Optional.of(retryAfter);
    }
}
