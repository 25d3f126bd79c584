package org.squallnote.core.turn;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.squallnote.core.message.Party;

/**
 * What was written before a message. A message is found by its id at once, so that a long thread in which many wait for
 * each other is not gone through for each of them.
 *
 * @param events in sent order
 * @param byId those of the whole thread
 * @param words what was said by hand of messages that counted as answers
 */
record Earlier(List<TurnEvent> events, Map<UUID, TurnEvent> byId, Map<UUID, AnswerWord> words) {

    /** What is written is about one of so many messages before. */
    private static final int FARTHEST_ANSWER = 50;

    /** The last of them, in sent order: what is written in a long thread is about one of these. */
    List<TurnEvent> recent() {
        return events.subList(Math.max(0, events.size() - FARTHEST_ANSWER), events.size());
    }

    /** A message, where it was sent before. */
    Optional<TurnEvent> message(UUID id) {
        return Optional.ofNullable(byId.get(id))
                .filter(found -> !events.isEmpty()
                        && TurnEvent.IN_SENT_ORDER.compare(found, events.get(events.size() - 1)) <= 0);
    }

    /** What was said by hand of a message. */
    Optional<AnswerWord> wordOn(TurnEvent event) {
        return Optional.ofNullable(words.get(event.messageId()));
    }

    /** Whether it was said that a message is no answer. */
    boolean isNoAnswer(TurnEvent event) {
        return wordOn(event)
                .filter(word -> word.kind() == AnswerWord.Kind.NO_ANSWER)
                .isPresent();
    }

    /** Whether somebody was asked something in a message. */
    boolean isAsked(Party party, UUID ask) {
        return message(ask)
                .filter(asked -> asked.facts().asked().contains(party.address()))
                .isPresent();
    }

    /** Who has an address, by name where a message says it. */
    Party partyOf(String address, TurnEvent event) {
        Stream<Party> addressed = Stream.concat(event.to().stream(), event.cc().stream());
        return Stream.concat(addressed, events.stream().map(TurnEvent::from))
                .filter(party ->
                        party.address().equals(address) && !party.name().isEmpty())
                .findFirst()
                .orElse(new Party("", address));
    }
}
