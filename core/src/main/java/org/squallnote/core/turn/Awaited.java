package org.squallnote.core.turn;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.Party;

/**
 * Somebody who owes me something.
 *
 * @param party who
 * @param messageId my ask, or their promise
 * @param since when it was sent
 * @param by the day that they promised, or the one that I named
 * @param promised whether they promised it
 * @param what my ask or their promise, in the writer's words
 * @param openToAll whether an answer from anybody settles it
 * @param answeredBy somebody else who answered it
 * @param answeredIn the message in which they did; until I take that, the one asked is awaited
 */
public record Awaited(
        Party party,
        UUID messageId,
        Instant since,
        Optional<LocalDateTime> by,
        boolean promised,
        String what,
        boolean openToAll,
        Optional<Party> answeredBy,
        Optional<UUID> answeredIn) {

    /** Somebody of whom nobody else has answered what they were asked. */
    public Awaited(
            Party party,
            UUID messageId,
            Instant since,
            Optional<LocalDateTime> by,
            boolean promised,
            String what,
            boolean openToAll) {
        this(party, messageId, since, by, promised, what, openToAll, Optional.empty(), Optional.empty());
    }

    /** Whether the day is over, at a local moment. */
    public boolean isLate(LocalDateTime now) {
        return by.filter(now::isAfter).isPresent();
    }

    Awaited promisedBy(TurnEvent promise) {
        return new Awaited(
                party,
                messageId,
                since,
                promise.facts().promisedBy().or(() -> by),
                true,
                what,
                openToAll,
                answeredBy,
                answeredIn);
    }

    /** Somebody else is awaited in their place, as they say. */
    Awaited handedTo(Party other, TurnEvent said) {
        return new Awaited(other, messageId, since, said.facts().promisedBy().or(() -> by), true, what, openToAll);
    }

    Awaited answeredByAnother(TurnEvent answer) {
        return new Awaited(
                party,
                messageId,
                since,
                by,
                promised,
                what,
                openToAll,
                Optional.of(answer.from()),
                Optional.of(answer.messageId()));
    }
}
