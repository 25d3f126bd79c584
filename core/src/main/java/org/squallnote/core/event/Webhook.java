package org.squallnote.core.event;

import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An address to which events are sent, one after the other, each until it is taken.
 *
 * @param only the topics of events it wants; empty for all
 * @param deliveredUpTo the number of the last event that was taken, or that it did not want
 * @param attempts how often the next one was tried
 * @param nextAt not before then is it tried again; null for at once
 * @param problem why the last try failed; empty where it did not
 * @param stopped whether nothing is sent until somebody says so
 * @param lastTakenAt when an event was taken last
 */
public record Webhook(
        UUID id,
        UUID owner,
        String name,
        String url,
        byte[] sealedSecret,
        Topics only,
        Instant createdAt,
        long deliveredUpTo,
        int attempts,
        @Nullable Instant nextAt,
        String problem,
        boolean stopped,
        @Nullable Instant lastTakenAt) {

    private static final Duration FIRST_WAIT = Duration.ofSeconds(5);
    private static final Duration LONGEST_WAIT = Duration.ofHours(6);

    /** With the waits between them these are about three days. */
    private static final int MOST_ATTEMPTS = 24;

    private static final int LONGEST_PROBLEM = 400;

    /** Whether it is to be told of an event. */
    public boolean wants(Event event) {
        return only.names().isEmpty()
                || !Collections.disjoint(only.names(), event.topics().names());
    }

    /** After an event was taken. */
    public Webhook taken(long seq, Instant now) {
        return standing(seq, 0, null, "", stopped, now);
    }

    /** Past events that it does not want. */
    public Webhook past(long seq) {
        return standing(seq, attempts, nextAt, problem, stopped, lastTakenAt);
    }

    /**
     * After an event was not taken: tried again after a wait that doubles, up to six hours, and stopped after three days.
     *
     * @param forGood whether the other side says that it wants none any more
     */
    public Webhook failed(String why, boolean forGood, Instant now) {
        int tried = attempts + 1;
        Duration doubled = FIRST_WAIT.multipliedBy(1L << Math.min(attempts, 20));
        Duration wait = doubled.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : doubled;
        String kept = why.length() > LONGEST_PROBLEM ? why.substring(0, LONGEST_PROBLEM) : why;
        return standing(deliveredUpTo, tried, now.plus(wait), kept, forGood || tried >= MOST_ATTEMPTS, lastTakenAt);
    }

    /** Going on at once with the event that was not taken. */
    public Webhook goingOn() {
        return standing(deliveredUpTo, 0, null, "", false, lastTakenAt);
    }

    private Webhook standing(
            long upTo, int tried, @Nullable Instant next, String why, boolean isStopped, @Nullable Instant takenAt) {
        return new Webhook(
                id, owner, name, url, sealedSecret, only, createdAt, upTo, tried, next, why, isStopped, takenAt);
    }
}
