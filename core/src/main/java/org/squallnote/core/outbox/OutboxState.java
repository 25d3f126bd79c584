package org.squallnote.core.outbox;

/** Where an outbox entry stands. */
public enum OutboxState {
    WAITING,
    /** Handed to the server, outcome not yet known. */
    UNDER_WAY,
    DONE,
    /** Given up after an answer that will not change; nothing was sent. */
    FAILED,
    /** The application ended between handing it over and hearing back: it may or may not have been sent. */
    UNCERTAIN,
    CANCELLED;

    /** Whether only the user can say how it goes on. */
    public boolean isStuck() {
        return this == UNCERTAIN || this == FAILED;
    }
}
