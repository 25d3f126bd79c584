package org.squallnote.core.reading;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordList;

/** Knows quoted lines, the lines that announce a quotation, and the lines that announce a forwarded message. */
final class QuotationLines {

    /** The longest attribution that is looked for, so that a long line costs nothing. */
    private static final int LONGEST_ATTRIBUTION = 260;

    private static final int LONGEST_LINE_LOOKED_AT = 400;

    private static final int MOST_INITIALS = 3;

    private static final List<String> WROTE = WordList.lines(QuotationLines.class, "wrote.txt");
    private static final Set<String> FORWARDS = Set.copyOf(WordList.lines(QuotationLines.class, "forwards.txt"));
    private static final Set<String> HEADER_NAMES =
            Set.copyOf(WordList.lines(QuotationLines.class, "header-names.txt"));

    private QuotationLines() {}

    /** A line without white space at its ends and without emphasis marks, cut where it is overlong. */
    static String bare(String text, Span span) {
        int end = Math.min(span.toExclusive(), span.fromInclusive() + LONGEST_LINE_LOOKED_AT);
        return text.substring(span.fromInclusive(), end)
                .replace('\u00a0', ' ')
                .replace("\u200b", "")
                .strip();
    }

    /** Whether the line is marked as quoted (RFC 3676 section 4.5), also with the writer's initials before the mark. */
    static boolean isQuoted(String bare) {
        if (!bare.isEmpty() && bare.charAt(0) >= 'a' && bare.charAt(0) <= 'z') {
            return false;
        }
        if (bare.startsWith(">") || bare.startsWith("&gt;") || bare.startsWith("| ")) {
            return true;
        }
        int initials = 0;
        while (initials < Math.min(bare.length(), MOST_INITIALS + 1) && Character.isUpperCase(bare.charAt(initials))) {
            initials++;
        }
        return initials > 0 && initials <= MOST_INITIALS && bare.startsWith(">", initials);
    }

    /** Whether a forwarded or re-quoted message without marks starts at this line, which then goes to the end. */
    static boolean startsForward(List<String> lines, int at) {
        String line = lines.get(at);
        if (line.isEmpty()) {
            return false;
        }
        String words = stripped(line);
        if (words.length() < line.length() && FORWARDS.contains(words.toLowerCase(Locale.ROOT))) {
            return true;
        }
        if (line.length() >= 20 && line.startsWith("____") && line.chars().allMatch(c -> c == '_')) {
            return headerLines(lines, at + 1) >= 2;
        }
        return line.indexOf(':') > 0 && headerLines(lines, at) >= 3;
    }

    private static String stripped(String line) {
        int from = 0;
        int to = line.length();
        while (from < to && "-_=*>: ".indexOf(line.charAt(from)) >= 0) {
            from++;
        }
        while (to > from && "-_=*:< ".indexOf(line.charAt(to - 1)) >= 0) {
            to--;
        }
        return line.substring(from, to);
    }

    /** How many lines in a row look like "From: …", "Sent: …"; blank lines do not count and do not end it. */
    private static int headerLines(List<String> lines, int from) {
        int count = 0;
        for (int i = from; i < Math.min(lines.size(), from + 8); i++) {
            String line = lines.get(i);
            int colon = line.indexOf(':');
            String name = colon < 0
                    ? ""
                    : line.substring(0, colon).replace("*", "").strip().toLowerCase(Locale.ROOT);
            if (HEADER_NAMES.contains(name)) {
                count++;
            } else if (!line.isEmpty() || count == 0) {
                break;
            }
        }
        return count;
    }

    /**
     * How many lines the attribution ("On … wrote:", which mail programs wrap) starting here has; zero when there is
     * none.
     */
    static int attributionAt(List<String> lines, int start) {
        int length = -1;
        for (int n = 0; n < 4 && start + n < lines.size(); n++) {
            String line = lines.get(start + n);
            length += line.length() + 1;
            if (line.isEmpty() || length > LONGEST_ATTRIBUTION || isQuoted(line)) {
                return 0;
            }
            if (mayEndAttribution(line)
                    && isAttribution(
                            String.join(" ", lines.subList(start, start + n + 1)), nextText(lines, start + n + 1))) {
                return n + 1;
            }
        }
        return 0;
    }

    private static boolean mayEndAttribution(String line) {
        char last = line.charAt(line.length() - 1);
        return last == ':' || last == '-' || last == 'e' || last == 'E';
    }

    private static String nextText(List<String> lines, int from) {
        for (int i = from; i < Math.min(lines.size(), from + 3); i++) {
            if (!lines.get(i).isEmpty()) {
                return lines.get(i);
            }
        }
        return "";
    }

    private static boolean isAttribution(String line, String following) {
        String lower = line.toLowerCase(Locale.ROOT);
        boolean quoteFollows = isQuoted(following);
        boolean ends = lower.endsWith(":") || lower.endsWith("---");
        if (!ends && !(quoteFollows && lower.endsWith("wrote"))) {
            return false;
        }
        boolean dated = lower.chars().anyMatch(Character::isDigit);
        boolean addressed = lower.indexOf('@') > 0;
        for (String wrote : WROTE) {
            int at = lower.indexOf(wrote);
            if (at >= 0 && (dated || addressed || quoteFollows || at + wrote.length() >= lower.length() - 4)) {
                return dated || addressed || quoteFollows;
            }
        }
        return quoteFollows && dated && addressed;
    }
}
