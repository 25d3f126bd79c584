package org.squallnote.core.history;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One change as the user made it.
 *
 * @param id made by the client, so that a repeated request is recognised
 * @param label what it did, for the undo toast and the history
 * @param undoneBy the command that took it back
 * @param undoOf the command that this one took back
 */
public record Command(
        UUID id,
        UUID owner,
        String kind,
        String label,
        Instant doneAt,
        @Nullable UUID undoneBy,
        @Nullable UUID undoOf) {}
