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
 */
public record Awaited(
        Party party,
        UUID messageId,
        Instant since,
        Optional<LocalDateTime> by,
        boolean promised,
        String what,
        boolean openToAll) {

    /** Whether the day is over, at a local moment. */
    public boolean isLate(LocalDateTime now) {
        return by.filter(now::isAfter).isPresent();
    }

    Awaited promisedBy(TurnEvent promise) {
        return new Awaited(party, messageId, since, promise.facts().promisedBy().or(() -> by), true, what, openToAll);
    }
}
