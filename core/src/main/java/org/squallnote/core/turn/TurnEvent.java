package org.squallnote.core.turn;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;

/**
 * What a message means for whose turn it is.
 *
 * @param messageId the message
 * @param sentAt when it was sent; the order of the thread
 * @param direction in or out
 * @param nature who is behind it
 * @param from the writer
 * @param to those it is addressed to; in a direct chat the other one
 */
public record TurnEvent(
        UUID messageId, Instant sentAt, Direction direction, Nature nature, Party from, List<Party> to) {

    /** Copies the recipients. */
    public TurnEvent {
        to = List.copyOf(to);
    }
}
