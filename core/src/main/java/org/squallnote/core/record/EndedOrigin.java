package org.squallnote.core.record;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The message that something ended came from.
 *
 * @param answeredAt when I first wrote in its thread after it; null where I did not
 */
public record EndedOrigin(
        UUID followUpId,
        UUID messageId,
        UUID threadId,
        String fromName,
        String fromAddress,
        Instant sentAt,
        @Nullable Instant answeredAt) {}
