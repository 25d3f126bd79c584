package org.squallnote.core.history;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A history entry with what its command did, for display. */
public record HistoryLine(
        UUID commandId,
        Instant at,
        String actor,
        String label,
        @Nullable String before,
        @Nullable String after,
        boolean undone) {}
