package org.squallnote.server.arrival;

import java.util.List;
import java.util.UUID;
import org.squallnote.core.message.StoredMessage;

/** What happens to messages that have just arrived, within the transaction that took them in. */
public interface FreshMessages {

    /** Whether a message of mine is meant for the application itself. */
    default void mine(UUID owner, StoredMessage message) {}

    /** These have just come to Intake. */
    default void waiting(UUID owner, List<StoredMessage> messages) {}
}
