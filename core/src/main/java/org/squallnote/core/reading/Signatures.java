package org.squallnote.core.reading;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import org.squallnote.core.reading.OwnWords.Kind;
import org.squallnote.core.text.WordList;

/**
 * Finds where a letter ends and its signature begins: the signature mark of RFC 3676 section 4.3, a complimentary close
 * on a line of its own, the writer's name on a line of its own; and legal footers and device lines anywhere at the end.
 * A postscript behind it counts as own words again.
 */
final class Signatures {

    private static final Set<String> CLOSES = Set.copyOf(WordList.lines(Signatures.class, "closes.txt"));
    /** A complimentary close has at most this many words. */
    private static final int LONGEST_CLOSE = 6;

    /** Nor has one, with all titles, more spaces. */
    private static final int MOST_SPACES = 8;

    /** Neither a close nor a name is longer. */
    private static final int LONGEST_LAST_LINE = 90;

    private static final int LONGEST_GREETING = 40;

    private static final Pattern NAME = Pattern.compile("\\p{Lu}\\p{Ll}{1,20}");
    /** "Yusuf", "Anna-Lena van Berg", "Tom and Ida". */
    private static final Pattern NAMES =
            Pattern.compile("\\p{Lu}[\\p{L}.'-]{0,20}( (\\p{Ll}{2,3} )?\\p{Lu}[\\p{L}.'-]{0,20}){0,3}");

    private Signatures() {}

    /** Marks the own lines that belong to a signature. */
    static void mark(List<String> lines, Kind[] kinds, String writer) {
        List<String> names = List.of();
        int first = firstOwn(kinds, lines);
        boolean signature = false;
        boolean wordsSeen = false;
        boolean said = false;
        for (int i = 0; i < kinds.length; i++) {
            if (kinds[i] != Kind.OWN) {
                // Own words under a quotation are an answer to it, whatever stood above.
                signature &= kinds[i] == Kind.FORWARDED;
                continue;
            }
            String line = lines.get(i);
            if (line.isEmpty()) {
                continue;
            }
            if (signature && startsPostscript(line)) {
                signature = false;
            } else if (line.equals("--") || line.equals("—") || line.equals("---")) {
                signature = true;
            } else if (!signature && i > first && wordsSeen && isShort(line)) {
                names = names.isEmpty() ? WriterNames.namesOf(writer) : names;
                signature = (endsLetter(lines, kinds, i, names) && (said || !isThanks(WriterNames.wordsOf(line))))
                        || (isGreeting(lines.get(first)) && isNameOfWhoeverWrote(lines, kinds, i));
            }
            said |= wordsSeen || !isGreeting(line);
            wordsSeen = true;
            if (signature) {
                kinds[i] = Kind.SIGNATURE;
            }
        }
        Footers.mark(lines, kinds, first);
    }

    private static int firstOwn(Kind[] kinds, List<String> lines) {
        for (int i = 0; i < kinds.length; i++) {
            if (kinds[i] == Kind.OWN && !lines.get(i).isEmpty()) {
                return i;
            }
        }
        return kinds.length;
    }

    private static boolean startsPostscript(String line) {
        String lower = line.toLowerCase(Locale.ROOT);
        return (lower.startsWith("ps") && (lower.length() == 2 || !Character.isLetter(lower.charAt(2))))
                || lower.startsWith("p.s")
                || lower.startsWith("pps");
    }

    /** "Pia" under a letter from the print shop: a name on the last line, behind the end of a sentence. */
    private static boolean isNameOfWhoeverWrote(List<String> lines, Kind[] kinds, int at) {
        String line = lines.get(at);
        return NAME.matcher(line).matches()
                && !NotNames.isOne(line)
                && isLast(lines, kinds, at)
                && endsSentence(lines, at - 1);
    }

    private static boolean isLast(List<String> lines, Kind[] kinds, int at) {
        int following = at + 1;
        while (following < kinds.length && lines.get(following).isEmpty()) {
            following++;
        }
        return following >= kinds.length || kinds[following] != Kind.OWN;
    }

    private static boolean endsSentence(List<String> lines, int from) {
        int before = from;
        while (before > 0 && lines.get(before).isEmpty()) {
            before--;
        }
        String line = lines.get(before);
        return !line.isEmpty() && ".!?".indexOf(line.charAt(line.length() - 1)) >= 0;
    }

    private static boolean endsLetter(List<String> lines, Kind[] kinds, int at, List<String> names) {
        String line = lines.get(at);
        String words = WriterNames.wordsOf(line);
        if (WriterNames.isName(line, words, names)) {
            return true;
        }
        if (words.chars().filter(c -> c == ' ').count() >= LONGEST_CLOSE) {
            return false;
        }
        boolean close = CLOSES.contains(words)
                || CLOSES.contains(WriterNames.withoutName(words, names))
                || isCloseWithAName(line);
        return close && onlyShortLinesFollow(lines, kinds, at, words);
    }

    /** "Kind regards, Yusuf" under a letter from a shared mailbox, whose writer has another name. */
    private static boolean isCloseWithAName(String line) {
        int comma = line.indexOf(',');
        String close = comma < 0 ? "" : WriterNames.wordsOf(line.substring(0, comma));
        return comma > 0
                && !isThanks(close)
                && CLOSES.contains(close)
                && NAMES.matcher(line.substring(comma + 1).strip()).matches();
    }

    /** Whether the line is no longer than a close or a name with all titles. */
    private static boolean isShort(String line) {
        if (line.length() > LONGEST_LAST_LINE) {
            return false;
        }
        int spaces = 0;
        for (int space = line.indexOf(' '); space >= 0; space = line.indexOf(' ', space + 1)) {
            spaces++;
        }
        return spaces <= MOST_SPACES;
    }

    /** Thanks at the end of a letter closes it; the same word as the whole message is what the message says. */
    private static boolean onlyShortLinesFollow(List<String> lines, Kind[] kinds, int at, String words) {
        if (isLast(lines, kinds, at)) {
            return !isThanks(words);
        }
        int following = at + 1;
        while (lines.get(following).isEmpty()) {
            following++;
        }
        String next = lines.get(following);
        return (next.split(" ").length <= 5 && !next.endsWith("?") && !next.endsWith(".")) || next.length() <= 3;
    }

    private static boolean isThanks(String words) {
        return words.startsWith("thank") || words.contains("thanks") || words.equals("cheers");
    }

    /** "Hi Ines,": under it alone, thanks are what the message says. */
    private static boolean isGreeting(String line) {
        return line.length() <= LONGEST_GREETING && (line.endsWith(",") || line.endsWith("!"));
    }
}
