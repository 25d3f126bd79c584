package org.squallnote.core.thread;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What was said by hand of where a thread begins: a message starts one of its own, or belongs to that of another message.
 *
 * @param messageId the message
 * @param withMessage the message to whose thread it belongs; null where it starts its own
 */
public record ThreadShape(UUID messageId, @Nullable UUID withMessage) {

    /** Whether it starts a thread of its own. */
    public boolean cuts() {
        return withMessage == null;
    }
}
