package org.squallnote.core.figures;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;

/**
 * A message that asked me something.
 *
 * @param categoryId of the follow-up that was made of it; null for none
 * @param answeredAt when I first wrote in its thread afterwards; null where I have not
 */
public record AskFact(
        UUID messageId,
        UUID threadId,
        String fromName,
        String fromAddress,
        @Nullable UUID categoryId,
        Instant askedAt,
        @Nullable Instant answeredAt) {

    /** Who asked. */
    Party from() {
        return new Party(fromName, fromAddress);
    }
}
