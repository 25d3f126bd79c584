package org.squallnote.core.turn;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.Party;

/**
 * Whose turn it is in a thread, and since when.
 *
 * @param turn whose turn
 * @param since the moment of the message or decision that made it so; absent when nothing did
 * @param by the message that made it so; absent after a decision by hand
 * @param awaited those who owe an answer, empty unless the thread is with others
 * @param reopenedBy the message that opened the thread again after it was closed
 */
public record TurnState(
        Turn turn, Optional<Instant> since, Optional<UUID> by, List<Party> awaited, Optional<UUID> reopenedBy) {

    /** Copies the awaited parties. */
    public TurnState {
        awaited = List.copyOf(awaited);
    }
}
