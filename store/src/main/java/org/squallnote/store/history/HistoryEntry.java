package org.squallnote.store.history;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a command changed in one row.
 *
 * @param step the order within the command
 * @param before the state before, as JSON; null when it did not exist
 * @param after the state after, as JSON; null when it no longer exists
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
        @Nullable String before,
        @Nullable String after) {}
