package org.squallnote.server.arrival;

import java.util.UUID;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.turn.TurnState;

/** Draws conclusions from an answer of mine, wherever it was written. */
public interface AnswerSeen {

    /**
     * A message of mine has arrived.
     *
     * @param threadId its thread
     * @param state whose turn it is after all of the thread's messages
     * @param recent whether it was written just now, so that the user is told
     */
    void seen(UUID owner, StoredMessage answer, UUID threadId, TurnState state, boolean recent);
}
