package org.squallnote.core.capture;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.repetition.TypedRepetition;

/** What comes back: "every Monday", "every 2 weeks from Friday on", "monthly". */
final class RepeatPart {

    private static final Pattern START = Pattern.compile(
            "(?i)(?<![\\w-])(?:(?<word>daily|weekly|fortnightly|monthly|quarterly|yearly|annually)|(?<each>every|each)"
                    + "|(?:on )?(?:the )?(?:first|last|\\d{1,2}(?:st|nd|rd|th)))(?![\\w-])");
    private static final Pattern EACH = Pattern.compile("(?i)(?<!\\w)(?:every|each)(?!\\w)");
    private static final Pattern WORD_END = Pattern.compile("(?<=\\w)(?=[\\s,;.!?)]|$)");

    /** No rule is said in more words. */
    private static final int MOST_WORDS = 16;

    private RepeatPart() {}

    /** The rule, taken out of the line. "The monthly report" names no rule. */
    static Optional<TypedRepetition> takenFrom(LineParts parts, DateContext dates) {
        String line = parts.line();
        Matcher start = START.matcher(line);
        while (start.find()) {
            for (int end : endsFrom(line, start.end())) {
                String words = line.substring(start.start(), end);
                boolean said = start.group("each") != null
                        || (start.group("word") != null
                                ? end > start.end() || parts.endsSegment(end)
                                : EACH.matcher(words).find());
                Optional<TypedRepetition> read = said ? TypedRepetition.read(words, dates) : Optional.empty();
                if (read.isPresent()) {
                    parts.take(Kind.REPEATS, start.start(), end);
                    return read;
                }
            }
        }
        return Optional.empty();
    }

    /** Where it may end, the furthest first. */
    private static List<Integer> endsFrom(String line, int from) {
        List<Integer> ends = new ArrayList<>();
        Matcher end = WORD_END.matcher(line).region(from, line.length()).useTransparentBounds(true);
        while (ends.size() < MOST_WORDS && end.find()) {
            ends.add(0, end.start());
        }
        return ends;
    }
}
