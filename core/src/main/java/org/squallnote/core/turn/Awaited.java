package org.squallnote.core.turn;

import java.time.Instant;
import java.time.LocalDate;
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
 * @param answered by whom else it was answered; until I take that, the one asked is awaited
 * @param lastMine when I wrote to them last in this thread, absent where I have not since they promised it unasked
 * @param chases how often I have asked again
 * @param returnsOn until when they are away, as they said
 */
public record Awaited(
        Party party,
        UUID messageId,
        Instant since,
        Optional<LocalDateTime> by,
        boolean promised,
        String what,
        boolean openToAll,
        Optional<ByAnother> answered,
        Optional<Instant> lastMine,
        int chases,
        Optional<LocalDate> returnsOn) {

    /**
     * An answer by somebody who was not asked.
     *
     * @param by who gave it
     * @param in the message in which they did
     */
    public record ByAnother(Party by, UUID in) {}

    /** Somebody who has just come to owe it. */
    public Awaited(
            Party party,
            UUID messageId,
            Instant since,
            Optional<LocalDateTime> by,
            boolean promised,
            String what,
            boolean openToAll) {
        this(
                party,
                messageId,
                since,
                by,
                promised,
                what,
                openToAll,
                Optional.empty(),
                Optional.empty(),
                0,
                Optional.empty());
    }

    /** Whether the day is over, at a local moment. */
    public boolean isLate(LocalDateTime now) {
        return by.filter(now::isAfter).isPresent();
    }

    /** Since when they have not heard of me. */
    public Instant lastHeard() {
        return lastMine.filter(since::isBefore).orElse(since);
    }

    /** The day until which they are away; absent once they are back. */
    public Optional<LocalDate> awayOn(LocalDate today) {
        return returnsOn.filter(day -> !day.isBefore(today));
    }

    Awaited promisedBy(TurnEvent promise) {
        return with(party, promise.facts().promisedBy().or(() -> by), true, answered, chases);
    }

    /** Somebody else is awaited in their place, as they say. */
    Awaited handedTo(Party other, TurnEvent said) {
        return with(other, said.facts().promisedBy().or(() -> by), true, Optional.empty(), 0);
    }

    /** A part of it was given; the rest stays owed. */
    Awaited stillMissing(String rest) {
        return new Awaited(
                party,
                messageId,
                since,
                by,
                promised,
                rest.isEmpty() ? what : rest,
                openToAll,
                Optional.empty(),
                lastMine,
                chases,
                returnsOn);
    }

    Awaited answeredByAnother(TurnEvent answer) {
        return with(party, by, promised, Optional.of(new ByAnother(answer.from(), answer.messageId())), chases);
    }

    private Awaited with(
            Party who, Optional<LocalDateTime> day, boolean byPromise, Optional<ByAnother> other, int asked) {
        return new Awaited(who, messageId, since, day, byPromise, what, openToAll, other, lastMine, asked, returnsOn);
    }

    /** I have written to them at a moment, and asked again or not. */
    Awaited writtenTo(Instant at, boolean again) {
        return new Awaited(
                party,
                messageId,
                since,
                by,
                promised,
                what,
                openToAll,
                answered,
                Optional.of(at),
                again ? chases + 1 : chases,
                returnsOn);
    }

    Awaited awayUntil(LocalDate day) {
        return new Awaited(
                party, messageId, since, by, promised, what, openToAll, answered, lastMine, chases, Optional.of(day));
    }
}
