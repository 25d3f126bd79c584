package org.squallnote.core.history;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a command changed in one row.
 *
 * @param step the order within the command
 * @param version the form in which the states are written, see {@link SubjectType#version()}
 * @param before of the state before what is different, as JSON; null when it did not exist
 * @param after of the state after what is different, as JSON; null when it no longer exists
 */
public record HistoryEntry(
        UUID id,
        UUID owner,
        UUID commandId,
        int step,
        SubjectType subjectType,
        UUID subjectId,
        String actor,
        Instant at,
        int version,
        @Nullable String before,
        @Nullable String after) {

    /** The same with other states. */
    public HistoryEntry with(@Nullable String otherBefore, @Nullable String otherAfter) {
        return new HistoryEntry(
                id, owner, commandId, step, subjectType, subjectId, actor, at, version, otherBefore, otherAfter);
    }
}
