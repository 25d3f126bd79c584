package org.squallnote.core.message;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What threading and turn need of a message, without its body. */
public record ThreadingRow(
        UUID id,
        UUID sourceId,
        Channel channel,
        Direction direction,
        Nature nature,
        String fromName,
        String fromAddress,
        Recipients recipients,
        String subject,
        Instant sentAt,
        String messageId,
        Texts refs,
        @Nullable String roomId,
        @Nullable String answers,
        UUID component,
        UUID threadId,
        Decision decision,
        boolean asksMe,
        @Nullable String listAddress) {}
