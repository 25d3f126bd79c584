package org.squallnote.store.message;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.intake.Decision;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;

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
