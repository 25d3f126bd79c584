package org.squallnote.core.capture;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.text.Span;

/** Where: a place that the account knows; another one that looks like a place is only offered. */
final class PlacePart {

    private static final Pattern UNKNOWN =
            Pattern.compile("(?i)(?<!\\w)(?:at|in) the (\\p{L}[\\p{L}\\w'-]{1,30}(?: \\p{L}[\\p{L}\\w'-]{1,30})?)$");
    private static final Pattern UNKNOWN_ALONE =
            Pattern.compile("(?i)^(?:at|in) (?:the )?(\\p{L}[\\p{L}\\w '-]{1,40})$");
    /** "at the latest", "in the morning", "in the next days" say when. */
    private static final Pattern TIME = Pattern.compile(
            "(?i)(latest|earliest|least|morning|afternoon|evening|end|beginning|moment|weekend|meantime|next .*|first .*|last .*|coming .*|end of .*)");

    private PlacePart() {}

    /** The place, taken out of the line; empty for none. */
    static String takenFrom(LineParts parts, List<String> places) {
        for (String known : places) {
            Matcher match = Pattern.compile(
                            "(?i)(?<![\\w])(?:(?:at|in|on|by)\\s+(?:the\\s+)?|@)" + Pattern.quote(known) + "(?!\\w)")
                    .matcher(parts.line());
            while (match.find()) {
                if (parts.isFree(match.start(), match.end())
                        && (parts.endsSegment(match.end())
                                || parts.startsSegment(match.start())
                                || parts.line().charAt(match.start()) == '@')) {
                    parts.take(Kind.PLACE, match.start(), match.end());
                    return known;
                }
            }
        }
        return "";
    }

    /** What looks like a place that the account does not know; it stays in the title. */
    static Optional<Captured.Offer> offeredBy(LineParts parts) {
        for (Span segment : parts.segments()) {
            String words = segment.in(parts.line());
            for (Pattern pattern : List.of(UNKNOWN_ALONE, UNKNOWN)) {
                Matcher match = pattern.matcher(words);
                boolean first = segment.fromInclusive() == 0 && pattern == UNKNOWN_ALONE;
                if (!first && match.find() && !TIME.matcher(match.group(1)).matches()) {
                    int from = segment.fromInclusive() + match.start();
                    int to = segment.fromInclusive() + match.end();
                    if (parts.isFree(from, to)) {
                        return Optional.of(new Captured.Offer(Kind.PLACE, match.group(1), match.group()));
                    }
                }
            }
        }
        return Optional.empty();
    }
}
