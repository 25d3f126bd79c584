package org.squallnote.core.turn;

import io.soabase.recordbuilder.core.RecordBuilder;
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
@RecordBuilder
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
        return but().by(promise.facts().promisedBy().or(() -> by))
                .promised(true)
                .build();
    }

    /** Somebody else is awaited in their place, as they say. */
    Awaited handedTo(Party other, TurnEvent said) {
        return but().party(other)
                .by(said.facts().promisedBy().or(() -> by))
                .promised(true)
                .answered(Optional.empty())
                .chases(0)
                .build();
    }

    /** A part of it was given; the rest stays owed. */
    Awaited stillMissing(String rest) {
        return but().what(rest.isEmpty() ? what : rest)
                .answered(Optional.empty())
                .build();
    }

    Awaited answeredByAnother(TurnEvent answer) {
        return but().answered(Optional.of(new ByAnother(answer.from(), answer.messageId())))
                .build();
    }

    /** I have written to them at a moment, and asked again or not. */
    Awaited writtenTo(Instant at, boolean again) {
        return but().lastMine(Optional.of(at))
                .chases(again ? chases + 1 : chases)
                .build();
    }

    Awaited awayUntil(LocalDate day) {
        return but().returnsOn(Optional.of(day)).build();
    }

    private AwaitedBuilder but() {
        return AwaitedBuilder.builder(this);
    }

    /** Whether a message is from whom is awaited, or from somebody who speaks for that mailbox. */
    boolean isAnsweredBy(TurnEvent event) {
        if (party.isSameAs(event.from())) {
            return true;
        }
        return SharedMailboxes.isShared(party.address(), event.throughList())
                && SharedMailboxes.speaksFor(event, party.address())
                && !event.facts().thanksOnly();
    }
}
