package org.squallnote.core.capture;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.dates.TypedDate;
import org.squallnote.core.reading.LineDates;
import org.squallnote.core.reading.LineDates.LineDate;
import org.squallnote.core.time.ReplyBy;

/** By when: the date that is said most plainly to be a deadline; of equals the last one. */
final class ReplyByPart {

    private static final Set<String> STRONG = Set.of("by", "before", "until", "till", "due");

    private static final Pattern HARD = Pattern.compile("(?i)^\\s*,?\\s*(at the latest|latest|firm|sharp)\\b");
    /** Dates of digits, which sentences cut at their dots, and which only their place tells from other numbers. */
    private static final Pattern DIGITS = Pattern.compile(
            "(?i)(?<![\\w/.:-])(?:(?<lead>by|before|until|till|due|on|for)\\s+)?(?<date>\\d{1,2}(?:/\\d{1,2}(?:/\\d{2,4})?|\\.\\d{1,2}\\.(?:\\d{2,4})?)(?:\\s+(?:at\\s+)?(?:\\d{1,2}(?:[:.]\\d{2})?\\s?(?:am|pm)|\\d{1,2}:\\d{2}|noon))?)(?![\\w/])");

    private final LineParts parts;
    private final DateContext dates;

    private final Optional<LocalDate> first;

    private ReplyByPart(LineParts parts, DateContext dates, Optional<LocalDate> first) {
        this.parts = parts;
        this.dates = dates;
        this.first = first;
    }

    /**
     * The date, taken out of the line unless it stands in the middle of it.
     *
     * @param first the day that a rule of repetition gives, which a time alone is a time of
     */
    static Optional<ReplyBy> takenFrom(LineParts parts, DateContext dates, Optional<LocalDate> first) {
        return new ReplyByPart(parts, dates, first)
                .find()
                .or(() -> first.map(day -> new ReplyBy(day, Optional.empty(), false)));
    }

    private record Date(DatePhrase phrase, int from, int to, int weight, boolean firm) {}

    private Optional<ReplyBy> find() {
        Optional<Date> best = ofDigits();
        String masked = best.map(date -> blank(date.from(), date.to())).orElseGet(parts::masked);
        for (LineDate line : LineDates.in(masked, dates)) {
            Optional<Date> date = date(line);
            if (date.isPresent()
                    && (best.isEmpty() || date.get().weight() >= best.get().weight())) {
                best = date;
            }
        }
        return best.map(date -> {
            boolean apart = parts.endsSegment(date.to()) || parts.startsSegment(date.from());
            if (apart || date.weight() == 3) {
                parts.take(Kind.REPLY_BY, date.from(), date.to());
            } else {
                parts.note(Kind.REPLY_BY, date.from(), date.to());
            }
            LocalDate day = date.phrase().form() == Form.TIME
                    ? first.orElse(date.phrase().day())
                    : date.phrase().day();
            return new ReplyBy(day, date.phrase().time(), date.firm());
        });
    }

    /** The line in which a stretch says nothing any more. */
    private String blank(int from, int to) {
        return new StringBuilder(parts.masked())
                .replace(from, to, ",".repeat(to - from))
                .toString();
    }

    private Optional<Date> ofDigits() {
        Matcher match = DIGITS.matcher(parts.line());
        Optional<Date> best = Optional.empty();
        while (match.find()) {
            if (!parts.isFree(match.start(), match.end())) {
                continue;
            }
            Optional<DatePhrase> read = TypedDate.read(match.group("date").replaceFirst("\\.$", ""), dates)
                    .or(() -> TypedDate.read(match.group("date"), dates))
                    .filter(phrase -> !phrase.day().isBefore(dates.today()));
            String lead = match.group("lead") == null ? "" : match.group("lead").toLowerCase(Locale.ROOT);
            boolean apart = parts.startsSegment(match.start()) || parts.endsSegment(match.end());
            if (read.isEmpty() || (lead.isEmpty() && !apart)) {
                continue;
            }
            int to = match.end();
            Matcher hard = HARD.matcher(parts.line().substring(to));
            boolean firm = hard.find();
            to += firm ? hard.end() : 0;
            int weight = STRONG.contains(lead) || firm ? 3 : 1;
            DatePhrase phrase = lead.equals("before") ? read.get().before(dates) : read.get();
            if (best.isEmpty() || weight >= best.get().weight()) {
                best = Optional.of(new Date(phrase, match.start(), to, weight, firm));
            }
        }
        return best;
    }

    private Optional<Date> date(LineDate line) {
        DatePhrase phrase = line.phrase();
        int from = line.words().fromInclusive();
        int to = line.words().toExclusive();
        if (line.use() == LineDates.Use.MENTIONED
                || phrase.form() == Form.PAST
                || phrase.day().isBefore(dates.today())
                || !parts.isFree(from, to)) {
            return Optional.empty();
        }
        boolean ends = parts.endsSegment(to);
        boolean alone = ends && parts.startsSegment(from);
        boolean stated = line.strict() || line.use() == LineDates.Use.STATED;
        return Optional.of(new Date(phrase, from, to, stated ? 3 : alone ? 2 : ends ? 1 : 0, line.strict()));
    }
}
