package org.squallnote.core;

import java.util.UUID;

/** A change was based on a version that is no longer the current one; nothing was written. */
public final class StaleVersionException extends RuntimeException {

    private final UUID subjectId;

    /** Says which row had changed. */
    public StaleVersionException(UUID subjectId) {
        super("Changed elsewhere since it was read: " + subjectId);
        this.subjectId = subjectId;
    }

    /** The row that had changed. */
    public UUID subjectId() {
        return subjectId;
    }
}
