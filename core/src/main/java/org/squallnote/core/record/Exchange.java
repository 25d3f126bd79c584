package org.squallnote.core.record;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Promised;

/**
 * Something that was asked, and what became of it.
 *
 * @param kind who owed whom what
 * @param other the other side: who asked me, whom I asked, or to whom I promised
 * @param messageId the message in which it was asked or promised
 * @param askedAt when that was sent
 * @param words what was asked or promised, in the writer's words
 * @param by the day that was named for it
 * @param promise the word that an answer would come, where one was given
 * @param outcome how it stands
 * @param endedIn the message that ended it; absent where it is open, or where a sign ended it
 * @param endedAt when it ended
 */
public record Exchange(
        Kind kind,
        Party other,
        UUID messageId,
        Instant askedAt,
        String words,
        Optional<LocalDateTime> by,
        Optional<Promised> promise,
        Outcome outcome,
        Optional<UUID> endedIn,
        Optional<Instant> endedAt) {

    /** Who owed whom what. */
    public enum Kind {
        ASKED_ME,
        ASKED_BY_ME,
        PROMISED_BY_ME,
        PROMISED_TO_ME
    }

    /** How something that was asked stands. */
    public enum Outcome {
        /** Whoever owed it has answered. */
        ANSWERED,
        /** Somebody else has answered in their place. */
        ANSWERED_BY_ANOTHER,
        /** Whoever asked has taken it back. */
        WITHDRAWN,
        /** Whoever asked has taken it as settled. */
        SETTLED,
        /** It did not reach whom it was written to. */
        UNDELIVERED,
        OPEN
    }

    /** Whether it was for me to do something. */
    public boolean mine() {
        return kind == Kind.ASKED_ME || kind == Kind.PROMISED_BY_ME;
    }
}
