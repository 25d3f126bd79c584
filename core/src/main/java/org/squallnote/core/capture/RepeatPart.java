package org.squallnote.core.capture;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.TypedDate;

/** What comes back: "every Monday", "every 2 weeks", "monthly". The words are kept; the first time is a date. */
final class RepeatPart {

    private static final String DAY =
            "(?:mon(?:day)?|tues?(?:day)?|wed(?:nesday)?|thu(?:rs?(?:day)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)s?";
    private static final String UNIT = "(?:days?|weeks?|fortnights?|months?|quarters?|years?|working days?|weekdays?)";
    private static final String COUNT =
            "(?:other|second|third|fourth|last|first|\\d{1,2}(?:st|nd|rd|th)?|two|three|four|six)";
    private static final Pattern REPEAT =
            Pattern.compile("(?i)(?<!\\w)(?:every|each)\\s+(?:" + COUNT + "\\s+)?(?:(?<day>" + DAY
                    + ")|" + UNIT + ")(?:\\s+(?:and|&)\\s+" + DAY + ")?(?:\\s+of\\s+the\\s+" + UNIT + ")?"
                    + "(?:\\s+on\\s+(?:the\\s+\\d{1,2}(?:st|nd|rd|th)?|" + DAY + "))?(?!\\w)"
                    + "|(?<![\\w-])(?:daily|weekly|fortnightly|monthly|quarterly|yearly|annually)(?![\\w-])");

    private static final String FROM = "(?i)\\s+(?:from|starting|as of)\\s+(?:on\\s+)?";
    private static final Pattern FROM_TWO_WORDS = Pattern.compile(FROM + "(\\S+\\s+[^\\s,;]+)(?:\\s+on\\b)?");
    private static final Pattern FROM_ONE_WORD = Pattern.compile(FROM + "([^\\s,;]+)(?:\\s+on\\b)?");

    private RepeatPart() {}

    /**
     * What comes back.
     *
     * @param words the rule as it was typed
     * @param first the first time, where the words name a day of the week
     */
    record Repeat(String words, Optional<DatePhrase> first) {}

    /** The rule, taken out of the line. "The monthly report" names no rule. */
    static Optional<Repeat> takenFrom(LineParts parts, DateContext dates) {
        Matcher match = REPEAT.matcher(parts.line());
        while (match.find()) {
            boolean word = match.group("day") == null && !match.group().contains(" ");
            if (!word || parts.endsSegment(match.end())) {
                Optional<Start> start = start(parts.line(), match.end(), dates);
                int end = start.map(Start::end).orElse(match.end());
                parts.take(Kind.REPEATS, match.start(), end);
                return Optional.of(new Repeat(
                        match.group(),
                        start.map(Start::day)
                                .or(() -> Optional.ofNullable(match.group("day"))
                                        .flatMap(day -> TypedDate.read(day, dates)))));
            }
        }
        return Optional.empty();
    }

    private record Start(DatePhrase day, int end) {}

    /** "from Friday on" behind the rule. */
    private static Optional<Start> start(String line, int from, DateContext dates) {
        for (Pattern pattern : List.of(FROM_TWO_WORDS, FROM_ONE_WORD)) {
            Matcher match = pattern.matcher(line).region(from, line.length());
            if (match.lookingAt()) {
                Optional<DatePhrase> day = TypedDate.read(match.group(1), dates);
                if (day.isPresent()) {
                    return Optional.of(new Start(day.get(), match.end()));
                }
            }
        }
        return Optional.empty();
    }
}
