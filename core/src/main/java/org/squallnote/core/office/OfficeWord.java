package org.squallnote.core.office;

import java.time.Instant;
import java.util.UUID;

/**
 * What somebody said of a message in a mailbox that several read.
 *
 * @param address the mailbox
 * @param messageId the Message-ID, which is the same for all of them
 * @param account who said it
 * @param at when
 * @param untold whether the others have not been told
 */
public record OfficeWord(String address, String messageId, UUID account, State state, Instant at, boolean untold) {

    /** Whose the message is. */
    public enum State {
        /** The account sees to it. */
        TAKEN,
        /** The account has answered it, for all. */
        ANSWERED,
        /** Nobody's: it was let go, or the answer was taken back. */
        FREE
    }

    /** Whether it is somebody else's than an account's. */
    public boolean isOthersThan(UUID owner) {
        return state != State.FREE && !account.equals(owner);
    }
}
