package org.squallnote.core.capture;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.dates.DateScanner;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;
import org.squallnote.core.time.ReplyBy;

/**
 * Understands one line: "call the crane firm about the quote by Friday, 15 min, Crane". What is not understood stays in the
 * title; nothing that was typed is lost.
 */
public final class CaptureLine {

    /** Longer lines are cut. */
    public static final int LONGEST = 500;

    private static final int LONGEST_TITLE = 300;
    private static final int MOST_EFFORT = 6000;
    private static final Pattern EFFORT = Pattern.compile(
            "(?i)(?<![\\w./,:-])(?<about>(?:about|ca\\.?|circa|roughly|takes|~)\\s*)?(?:(?<half>half an? hour)|(?<hours>\\d{1,2}(?:[.,]\\d)?|an?|one|two|three|four)\\s?(?:hours?|hrs?|h)(?:\\s?(?<rest>[0-5]?\\d)(?:\\s?min(?:utes?|s)?)?)?|(?<minutes>\\d{1,4})\\s?-?min(?:utes?|s)?)(?![\\w-])");
    private static final Pattern BEFORE_A_STRETCH = Pattern.compile("(?i)(in|within|after|every|next|for|of) $");
    private static final Set<String> STRONG = Set.of("by", "before", "until", "till", "due", "than", "deadline");
    private static final Set<String> LEADS = Set.of(
            "by",
            "before",
            "until",
            "till",
            "due",
            "than",
            "on",
            "for",
            "later",
            "no",
            "not",
            "is",
            "deadline",
            "the",
            "latest",
            "reply",
            "at");
    /** "the invoice of 3 March" names a day. */
    private static final Set<String> NAMING = Set.of("of", "from", "since", "dated", "after");

    private static final Pattern HARD = Pattern.compile("(?i)^\\s*,?\\s*(at the latest|latest|firm|sharp)\\b");
    private static final Pattern LAST_MARKS = Pattern.compile("[\\s,;:–—-]+$");
    private static final Pattern MENTION = Pattern.compile("(?<![\\w@])@([\\p{L}][\\p{L}\\w.-]*)");
    private static final Map<String, Double> NUMBERS =
            Map.of("a", 1.0, "an", 1.0, "one", 1.0, "two", 2.0, "three", 3.0, "four", 4.0);

    private final String line;
    private final CaptureContext context;
    private final LineParts parts;

    private CaptureLine(String line, CaptureContext context) {
        this.line = line;
        this.context = context;
        this.parts = new LineParts(line);
    }

    /** What a line says; a blank one has an empty title. */
    public static Captured read(String typed, CaptureContext context) {
        String line = typed.replace('\n', ' ').strip();
        return new CaptureLine(line.length() > LONGEST ? line.substring(0, LONGEST) : line, context).read();
    }

    private Captured read() {
        Optional<Integer> effort = effort();
        Optional<UUID> category = category();
        Optional<ReplyBy> replyBy = replyBy();
        List<Party> people = people();
        String place = place();
        return new Captured(title(people), replyBy, effort, category, people, place, List.of(), parts.all());
    }

    private Optional<Integer> effort() {
        Matcher match = EFFORT.matcher(line);
        while (match.find()) {
            boolean stretch =
                    BEFORE_A_STRETCH.matcher(line.substring(0, match.start())).find();
            boolean apart = parts.startsSegment(match.start()) || parts.endsSegment(match.end());
            int minutes = minutes(match);
            if (!stretch && (apart || match.group("about") != null) && minutes > 0 && minutes <= MOST_EFFORT) {
                parts.take(Kind.EFFORT, match.start(), match.end());
                return Optional.of(minutes);
            }
        }
        return Optional.empty();
    }

    private static int minutes(Matcher match) {
        if (match.group("half") != null) {
            return 30;
        }
        if (match.group("minutes") != null) {
            return Integer.parseInt(match.group("minutes"));
        }
        String hours = match.group("hours").toLowerCase(Locale.ROOT);
        Double worded = NUMBERS.get(hours);
        double whole = worded == null ? Double.parseDouble(hours.replace(',', '.')) : worded;
        int rest = match.group("rest") == null ? 0 : Integer.parseInt(match.group("rest"));
        return (int) Math.round(whole * 60) + rest;
    }

    /** A segment that is a category's name or its beginning, or "in Crane" at the end of one. */
    private Optional<UUID> category() {
        List<Span> segments = parts.segments();
        for (int i = segments.size() - 1; i > 0; i--) {
            Span segment = segments.get(i);
            String words = segment.in(line).toLowerCase(Locale.ROOT).replaceFirst("^(in\\s+|#\\s*)", "");
            Optional<UUID> whole = named(words);
            if (whole.isPresent()) {
                parts.take(Kind.CATEGORY, segment.fromInclusive(), segment.toExclusive());
                return whole;
            }
        }
        for (Map.Entry<String, UUID> category : context.categories().entrySet()) {
            Matcher match = Pattern.compile("(?i)(?<!\\w)(in |#)" + Pattern.quote(category.getKey()) + "(?!\\w)")
                    .matcher(line);
            while (match.find()) {
                if (parts.endsSegment(match.end()) || line.charAt(match.start()) == '#') {
                    parts.take(Kind.CATEGORY, match.start(), match.end());
                    return Optional.of(category.getValue());
                }
            }
        }
        return Optional.empty();
    }

    private Optional<UUID> named(String words) {
        List<UUID> beginning = new ArrayList<>();
        for (Map.Entry<String, UUID> category : context.categories().entrySet()) {
            String name = category.getKey().toLowerCase(Locale.ROOT);
            if (name.equals(words)) {
                return Optional.of(category.getValue());
            }
            if (words.length() > 2 && name.startsWith(words)) {
                beginning.add(category.getValue());
            }
        }
        return beginning.size() == 1 ? Optional.of(beginning.get(0)) : Optional.empty();
    }

    private record Date(DatePhrase phrase, int from, int to, int weight, boolean firm) {}

    /** The date that is said most plainly to be a deadline; of equals the last one. */
    private Optional<ReplyBy> replyBy() {
        Optional<Date> best = Optional.empty();
        for (Sentence sentence : SentenceSplitter.split(parts.masked())) {
            for (DatePhrase phrase : DateScanner.in(sentence, context.dates())) {
                Optional<Date> date = date(sentence, phrase);
                if (date.isPresent()
                        && (best.isEmpty() || date.get().weight() >= best.get().weight())) {
                    best = date;
                }
            }
        }
        return best.map(date -> {
            boolean ends = parts.endsSegment(date.to()) || parts.startsSegment(date.from());
            if (ends || date.weight() == 3) {
                parts.take(Kind.REPLY_BY, date.from(), date.to());
            } else {
                parts.note(Kind.REPLY_BY, date.from(), date.to());
            }
            return new ReplyBy(date.phrase().day(), date.phrase().time(), date.firm());
        });
    }

    private Optional<Date> date(Sentence sentence, DatePhrase phrase) {
        LocalDate today = context.dates().today();
        Span words = sentence.spanOf(phrase.fromInclusive(), phrase.toExclusive());
        if (phrase.form() == Form.PAST
                || phrase.day().isBefore(today)
                || !parts.isFree(words.fromInclusive(), words.toExclusive())) {
            return Optional.empty();
        }
        int lead = phrase.fromInclusive();
        if (NAMING.contains(sentence.norm(lead - 1))) {
            return Optional.empty();
        }
        boolean strong = false;
        boolean before = false;
        while (lead > 0
                && LEADS.contains(sentence.norm(lead - 1))
                && !sentence.at(lead).followsMark()) {
            lead--;
            strong |= STRONG.contains(sentence.norm(lead));
            before |= sentence.norm(lead).equals("before");
        }
        int from = sentence.at(lead).span().fromInclusive();
        int to = words.toExclusive();
        Matcher hard = HARD.matcher(line.substring(to));
        boolean firm = hard.find()
                || sentence.norm(lead).equals("no")
                || sentence.norm(lead).equals("not")
                || line.substring(from, to).toLowerCase(Locale.ROOT).contains("deadline");
        if (firm && hard.reset().find()) {
            to += hard.end();
        }
        boolean alone = parts.startsSegment(from) && parts.endsSegment(to);
        int weight = strong || firm ? 3 : alone ? 2 : parts.endsSegment(to) ? 1 : 0;
        return Optional.of(new Date(before ? phrase.before(context.dates()) : phrase, from, to, weight, firm));
    }

    private List<Party> people() {
        Set<Party> found = new LinkedHashSet<>();
        Matcher mention = MENTION.matcher(line);
        while (mention.find()) {
            Party person = byName(mention.group(1)).orElseGet(() -> new Party(capital(mention.group(1)), ""));
            found.add(person);
            if (parts.startsSegment(mention.start()) && parts.endsSegment(mention.end())) {
                parts.take(Kind.PERSON, mention.start(), mention.end());
            } else {
                parts.note(Kind.PERSON, mention.start(), mention.end());
            }
        }
        for (Span segment : parts.segments()) {
            Matcher with =
                    Pattern.compile("(?i)^with ([\\p{L}][\\p{L} .'-]{1,60})$").matcher(segment.in(line));
            if (with.find() && parts.isFree(segment.fromInclusive(), segment.toExclusive())) {
                found.add(byName(with.group(1)).orElseGet(() -> new Party(with.group(1), "")));
                parts.take(Kind.PERSON, segment.fromInclusive(), segment.toExclusive());
            }
        }
        for (Party person : context.people()) {
            Matcher name = Pattern.compile("(?<![\\p{L}@])(" + Pattern.quote(person.displayName()) + "|"
                            + Pattern.quote(person.shortName()) + ")(?![\\p{L}])")
                    .matcher(line);
            boolean free = !person.name().isEmpty() && person.shortName().length() > 1;
            boolean known = found.stream().anyMatch(other -> other.shortName().equals(person.shortName()));
            if (free && !known && name.find() && parts.isFree(name.start(), name.end())) {
                found.add(person);
                parts.note(Kind.PERSON, name.start(), name.end());
            }
        }
        return List.copyOf(found);
    }

    /** Somebody known by that first or whole name. */
    private Optional<Party> byName(String name) {
        return CaptureLine.byName(name, context);
    }

    static Optional<Party> byName(String name, CaptureContext context) {
        String wanted = name.replace('.', ' ').strip();
        return context.people().stream()
                .filter(person -> person.displayName().equalsIgnoreCase(wanted)
                        || person.shortName().equalsIgnoreCase(wanted)
                        || person.displayName().replace(" ", "").equalsIgnoreCase(wanted))
                .findFirst();
    }

    /** "at the yard" as a segment of its own, or a place that was named before. */
    private String place() {
        for (String known : context.places()) {
            Matcher match = Pattern.compile("(?i)(?<!\\w)(at|in|on) (the )?" + Pattern.quote(known) + "(?!\\w)")
                    .matcher(line);
            if (match.find()
                    && parts.isFree(match.start(), match.end())
                    && (parts.endsSegment(match.end()) || parts.startsSegment(match.start()))) {
                parts.take(Kind.PLACE, match.start(), match.end());
                return known;
            }
        }
        List<Span> segments = parts.segments();
        for (Span segment : segments) {
            Matcher at = Pattern.compile("(?i)^at (the )?(\\p{L}[\\p{L}\\w '-]{1,40})$")
                    .matcher(segment.in(line));
            if (segments.size() > 1 && at.find() && parts.isFree(segment.fromInclusive(), segment.toExclusive())) {
                parts.take(Kind.PLACE, segment.fromInclusive(), segment.toExclusive());
                return at.group(2);
            }
        }
        return "";
    }

    private String title(List<Party> people) {
        String rest = LAST_MARKS.matcher(parts.rest()).replaceFirst("");
        for (Party person : people) {
            rest = rest.replaceAll(
                    "(?i)@" + Pattern.quote(person.shortName()) + "(?!\\w)",
                    Matcher.quoteReplacement(person.shortName()));
        }
        String title = capital(rest.isBlank() ? line : rest);
        return title.length() > LONGEST_TITLE ? title.substring(0, LONGEST_TITLE - 1) + "…" : title;
    }

    private static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
