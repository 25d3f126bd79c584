package org.squallnote.core.capture;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Span;
import org.squallnote.core.time.ReplyBy;

/**
 * A line understood as a follow-up.
 *
 * @param title what is left when everything else is taken out of the line
 * @param replyBy by when
 * @param effortMinutes how long it takes
 * @param category in which category
 * @param people whom it concerns
 * @param place where it can be done, empty for anywhere
 * @param repeats how it comes back, in words; empty for once
 * @param steps its checklist
 * @param parts where each part stands in the line
 * @param offers what may be a part but names nothing that is known; it stays in the title
 */
public record Captured(
        String title,
        Optional<ReplyBy> replyBy,
        Optional<Integer> effortMinutes,
        Optional<UUID> category,
        List<Party> people,
        String place,
        String repeats,
        List<String> steps,
        List<Part> parts,
        List<Offer> offers) {

    /** What a part of a line says. */
    public enum Kind {
        REPLY_BY,
        EFFORT,
        CATEGORY,
        PERSON,
        PLACE,
        REPEATS
    }

    /** A part of a line, in UTF-16 units. */
    public record Part(Kind kind, Span span) {}

    /**
     * What may be a part of the follow-up.
     *
     * @param kind a person or a place
     * @param name how it would be called
     * @param words the words that would be taken out of the title
     */
    public record Offer(Kind kind, String name, String words) {}

    /** Copies the lists. */
    public Captured {
        people = List.copyOf(people);
        steps = List.copyOf(steps);
        parts = List.copyOf(parts);
        offers = List.copyOf(offers);
    }

    /** The same with a checklist. */
    Captured with(List<String> newSteps) {
        return new Captured(title, replyBy, effortMinutes, category, people, place, repeats, newSteps, parts, offers);
    }

    /** The same, handed to somebody. */
    Captured of(Party person) {
        return new Captured(
                person.shortName() + ": " + title,
                replyBy,
                effortMinutes,
                category,
                people.contains(person)
                        ? people
                        : java.util.stream.Stream.concat(java.util.stream.Stream.of(person), people.stream())
                                .toList(),
                place,
                repeats,
                steps,
                parts,
                offers);
    }
}
