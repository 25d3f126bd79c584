package org.squallnote.core.draft;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A file that an answer will carry.
 *
 * @param size in bytes
 * @param sentBy the command that sent it; it is kept while that can be taken back
 */
public record DraftFile(
        UUID id,
        UUID owner,
        UUID messageId,
        String name,
        String type,
        int size,
        byte[] content,
        @Nullable UUID sentBy,
        Instant addedAt) {}
