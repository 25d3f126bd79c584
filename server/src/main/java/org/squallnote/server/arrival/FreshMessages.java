package org.squallnote.server.arrival;

import java.util.List;
import java.util.UUID;
import org.squallnote.core.message.StoredMessage;

/** What happens to messages that have just arrived, within the transaction that took them in. */
public interface FreshMessages {

    /** Whether a message of mine is meant for the application itself. */
    default void mine(UUID owner, StoredMessage message) {}

    /** Somebody else has written this. */
    default void theirs(UUID owner, StoredMessage message, UUID threadId) {}

    /** These have just come to Intake. */
    default void waiting(UUID owner, List<StoredMessage> messages) {}
}
