package org.squallnote.store.search;

import java.util.UUID;

/**
 * Something that has changed and is to be put into the index.
 *
 * @param seq in the order of the changes; the same thing may stand there several times
 */
public record Pending(long seq, UUID owner, What what, UUID subjectId) {

    /** What it is. */
    public enum What {
        MESSAGE,
        FOLLOW_UP,
        /** The files of a message, which take longer. */
        FILES
    }
}
