package org.squallnote.core.capture;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.message.Party;
import org.squallnote.core.repetition.Occurrence;
import org.squallnote.core.repetition.RepetitionWords;
import org.squallnote.core.repetition.TypedRepetition;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.time.ReplyBy;

/**
 * Understands one line: "call the crane firm about the quote by Friday, 15 min, Crane". What is not understood stays in
 * the title; nothing that was typed is lost, and no category, person or place is made up.
 */
public final class CaptureLine {

    /** Longer lines are cut. */
    public static final int LONGEST = 500;

    private static final int LONGEST_TITLE = 300;
    private static final Pattern LAST_MARKS = Pattern.compile("[\\s,;:–—-]+$");
    private static final Pattern FIRST_MARKS = Pattern.compile("^[\\s,;:–—]+");

    private CaptureLine() {}

    /** What a line says; a blank one has an empty title. */
    public static Captured read(String typed, CaptureContext context) {
        String stripped = typed.replace('\n', ' ').strip();
        String line = stripped.length() > LONGEST ? stripped.substring(0, LONGEST) : stripped;
        LineParts parts = new LineParts(line);
        Optional<TypedRepetition> repeat = RepeatPart.takenFrom(parts, context.dates());
        Optional<Integer> effort = EffortPart.takenFrom(parts);
        Optional<UUID> category = CategoryPart.takenFrom(parts, context.categories());
        String place = PlacePart.takenFrom(parts, context.places());
        Optional<ReplyBy> replyBy =
                ReplyByPart.takenFrom(parts, context.dates(), repeat.flatMap(it -> first(it, context.dates())));
        if (effort.isEmpty()) {
            // What stood behind the date begins the line now.
            effort = EffortPart.takenFrom(parts);
        }
        PeoplePart.Found people = PeoplePart.in(parts, context.people());
        List<Captured.Offer> offers = new ArrayList<>(people.offers());
        if (place.isEmpty()) {
            PlacePart.offeredBy(parts).ifPresent(offers::add);
        }
        return new Captured(
                title(parts, people.people()),
                replyBy,
                effort,
                category,
                people.people(),
                place,
                repeat.map(it -> RepetitionWords.of(it.repetition())).orElse(""),
                List.of(),
                parts.all(),
                offers);
    }

    private static Optional<LocalDate> first(TypedRepetition typed, DateContext dates) {
        return typed.repetition()
                .first(typed.from().orElse(dates.today()), dates.workingTime())
                .map(Occurrence::day);
    }

    private static String title(LineParts parts, List<Party> people) {
        String rest = FIRST_MARKS
                .matcher(LAST_MARKS.matcher(parts.rest()).replaceFirst(""))
                .replaceFirst("");
        for (Party person : people) {
            rest = rest.replaceAll(
                    "(?i)@" + Pattern.quote(person.shortName()) + "(?!\\w)",
                    Matcher.quoteReplacement(person.shortName()));
        }
        String title = capital(rest.isBlank() ? parts.line() : rest);
        return Beginning.of(title, LONGEST_TITLE);
    }

    private static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
