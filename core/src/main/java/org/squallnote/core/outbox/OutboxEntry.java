package org.squallnote.core.outbox;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something to be done on a server.
 *
 * @param commandId the change that asked for it
 * @param identity the Message-ID, transaction id or message id that keeps it from being done twice
 * @param messageId the message it is about
 * @param payload what the kind needs, as JSON
 * @param notBefore from when on it may be done; until then it can be taken back
 * @param lastError why the last attempt failed, for the user
 */
public record OutboxEntry(
        UUID id,
        UUID owner,
        UUID sourceId,
        UUID commandId,
        OutboxKind kind,
        String identity,
        @Nullable UUID messageId,
        String payload,
        OutboxState state,
        Instant notBefore,
        int attempts,
        String lastError,
        Instant createdAt,
        @Nullable Instant finishedAt) {}
