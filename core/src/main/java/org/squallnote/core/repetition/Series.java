package org.squallnote.core.repetition;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.WorkingTime;

/**
 * Follow-ups that come one after the other: the next one when one ends.
 *
 * @param pattern what each says, without its days
 * @param since the day of the first, from which weeks, months and years are counted
 * @param current the follow-up that stands for it now
 * @param at which time of it that is
 */
public record Series(UUID id, Repetition repetition, Content pattern, LocalDate since, UUID current, Occurrence at) {

    /**
     * One that begins with a follow-up: with its own day, whatever the rule says of it, or with the first that the rule gives.
     *
     * @param from what is before is left out, for a follow-up without a day
     * @return absent when the rule gives no day at all
     */
    public static Optional<Series> beginning(
            UUID id, Repetition repetition, FollowUp first, LocalDate from, WorkingTime workingTime) {
        Optional<Occurrence> at = first.replyBy()
                .map(date -> new Occurrence(date.day(), date.day(), 1))
                .or(() -> repetition.first(from, workingTime));
        return at.map(it -> new Series(id, repetition, first.pattern(), it.on(), first.id(), it));
    }

    /** The time after the current one, when that ends on a day; absent when it was the last. */
    public Optional<Occurrence> next(LocalDate endedOn, WorkingTime workingTime) {
        return repetition.next(since, at, endedOn, workingTime);
    }

    /** What the next one says: its day, and out of sight until it is near. */
    public Content contentOf(Occurrence next, LocalDate today) {
        LocalDate inSight = repetition.inSight(next);
        return pattern.on(next.day(), inSight.isAfter(today) ? inSight : null);
    }

    /** The same with another follow-up standing for it. */
    public Series goingOn(UUID followUp, Occurrence next) {
        return new Series(id, repetition, pattern, since, followUp, next);
    }

    /** The same with others like this one from now on. */
    public Series like(FollowUp followUp) {
        return new Series(id, repetition, followUp.pattern(), since, current, at);
    }

    /** The same in another rhythm, counted from the current one. */
    public Series inRhythm(Repetition other) {
        return new Series(id, other, pattern, at.on(), current, new Occurrence(at.on(), at.day(), 1));
    }
}
