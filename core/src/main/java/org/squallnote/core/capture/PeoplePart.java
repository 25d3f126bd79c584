package org.squallnote.core.capture;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Span;

/** Whom it concerns: those whom the account knows by that name; others are only offered. */
final class PeoplePart {

    private static final Pattern MENTION = Pattern.compile("(?<![\\w@])@([\\p{L}][\\p{L}\\w.-]*)");
    private static final Pattern WITH = Pattern.compile("(?i)^with ([\\p{L}][\\p{L} .'-]{1,60})$");

    private PeoplePart() {}

    /** The people, and those who are offered. */
    record Found(List<Party> people, List<Captured.Offer> offers) {}

    static Found in(LineParts parts, List<Party> known) {
        Set<Party> found = new LinkedHashSet<>();
        List<Captured.Offer> offers = new ArrayList<>();
        Matcher mention = MENTION.matcher(parts.line());
        while (mention.find()) {
            if (parts.isFree(mention.start(), mention.end())) {
                named(parts, new Span(mention.start(), mention.end()), mention.group(1), known, found, offers);
            }
        }
        for (Span segment : parts.segments()) {
            Matcher with = WITH.matcher(segment.in(parts.line()));
            if (with.find() && parts.isFree(segment.fromInclusive(), segment.toExclusive())) {
                named(parts, segment, with.group(1), known, found, offers);
            }
        }
        mentionedInside(parts, known, found);
        return new Found(List.copyOf(found), offers);
    }

    private static void named(
            LineParts parts, Span span, String name, List<Party> known, Set<Party> found, List<Captured.Offer> offers) {
        Optional<Party> person = byName(name, known);
        if (person.isEmpty()) {
            offers.add(new Captured.Offer(Kind.PERSON, capital(name), span.in(parts.line())));
            return;
        }
        found.add(person.get());
        if (parts.startsSegment(span.fromInclusive()) && parts.endsSegment(span.toExclusive())) {
            parts.take(Kind.PERSON, span.fromInclusive(), span.toExclusive());
        } else {
            parts.note(Kind.PERSON, span.fromInclusive(), span.toExclusive());
        }
    }

    private static void mentionedInside(LineParts parts, List<Party> known, Set<Party> found) {
        for (Party person : known) {
            boolean mayBe =
                    parts.line().contains(person.displayName()) || parts.line().contains(person.shortName());
            if (!mayBe) {
                continue; // Most are named nowhere, and a pattern costs more than a look.
            }
            Matcher name = Pattern.compile("(?<![\\p{L}@])(" + Pattern.quote(person.displayName()) + "|"
                            + Pattern.quote(person.shortName()) + ")(?![\\p{L}])")
                    .matcher(parts.line());
            boolean named = !person.name().isEmpty() && person.shortName().length() > 1;
            boolean again = found.stream().anyMatch(other -> other.shortName().equals(person.shortName()));
            if (named && !again && name.find() && parts.isFree(name.start(), name.end())) {
                found.add(person);
                parts.note(Kind.PERSON, name.start(), name.end());
            }
        }
    }

    /** Somebody known by that first or whole name. */
    static Optional<Party> byName(String name, List<Party> known) {
        String wanted = name.replace('.', ' ').strip();
        return known.stream()
                .filter(person -> person.displayName().equalsIgnoreCase(wanted)
                        || person.shortName().equalsIgnoreCase(wanted)
                        || person.displayName().replace(" ", "").equalsIgnoreCase(wanted))
                .findFirst();
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
