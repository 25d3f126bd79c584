package org.squallnote.core.turn;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.Party;

/**
 * What was written before a message. A message is found by its id at once, so that a long thread in which many wait for
 * each other is not gone through for each of them.
 *
 * @param events in sent order
 * @param byId those of the whole thread
 */
record Earlier(List<TurnEvent> events, Map<UUID, TurnEvent> byId) {

    /** A message, where it was sent before. */
    Optional<TurnEvent> message(UUID id) {
        return Optional.ofNullable(byId.get(id))
                .filter(found -> !events.isEmpty()
                        && TurnEvent.IN_SENT_ORDER.compare(found, events.get(events.size() - 1)) <= 0);
    }

    /** Whether somebody was asked something in a message. */
    boolean isAsked(Party party, UUID ask) {
        return message(ask)
                .filter(asked -> asked.facts().asked().contains(party.address()))
                .isPresent();
    }
}
