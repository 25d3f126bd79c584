package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.squallnote.core.reading.OwnWords.Kind;
import org.squallnote.core.text.Letters;
import org.squallnote.core.text.WordList;

/**
 * Finds where a letter ends and its signature begins: the signature mark of RFC 3676 section 4.3, a complimentary close
 * on a line of its own, the writer's name on a line of its own; and legal footers and device lines anywhere at the end.
 * A postscript behind it counts as own words again.
 */
final class Signatures {

    private static final Set<String> CLOSES = Set.copyOf(WordList.lines(Signatures.class, "closes.txt"));
    private static final List<String> FOOTERS = footers(false);
    /** In the list with a circumflex: a line that begins so is a footer. */
    private static final List<String> WHOLE_FOOTERS = footers(true);

    /** The other footers stand in lines that begin so. */
    private static final List<String> FOOTER_STARTS = List.of(
            "this ",
            "the information",
            "the content",
            "if you are not",
            "if you have received",
            "confidential",
            "any ");

    /** A complimentary close has at most this many words. */
    private static final int LONGEST_CLOSE = 6;

    /** Nor has one, with all titles, more spaces. */
    private static final int MOST_SPACES = 8;

    /** Neither a close nor a name is longer. */
    private static final int LONGEST_LAST_LINE = 90;

    private static final int LONGEST_GREETING = 40;

    private Signatures() {}

    private static List<String> footers(boolean whole) {
        return WordList.lines(Signatures.class, "footers.txt").stream()
                .filter(footer -> footer.startsWith("^") == whole)
                .map(footer -> whole ? footer.substring(1) : footer)
                .toList();
    }

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
                names = names.isEmpty() ? namesOf(writer) : names;
                signature = endsLetter(lines, kinds, i, names) && (said || !isThanks(wordsOf(line)));
            }
            said |= wordsSeen || !isGreeting(line);
            wordsSeen = true;
            if (signature) {
                kinds[i] = Kind.SIGNATURE;
            }
        }
        markFooters(lines, kinds, first);
    }

    /** Footers stand at the end: from the last line upwards, as long as there is nothing else. */
    private static void markFooters(List<String> lines, Kind[] kinds, int first) {
        for (int i = kinds.length - 1; i > first; i--) {
            if (kinds[i] == Kind.OWN && !lines.get(i).isEmpty()) {
                if (!isFooter(lines.get(i))) {
                    return;
                }
                kinds[i] = Kind.SIGNATURE;
            }
        }
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

    private static boolean endsLetter(List<String> lines, Kind[] kinds, int at, List<String> names) {
        String line = lines.get(at);
        String words = wordsOf(line);
        if (isName(line, words, names)) {
            return true;
        }
        if (words.chars().filter(c -> c == ' ').count() >= LONGEST_CLOSE) {
            return false;
        }
        boolean close = CLOSES.contains(words) || CLOSES.contains(withoutName(words, names));
        return close && onlyShortLinesFollow(lines, kinds, at, words);
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
        int following = at + 1;
        while (following < kinds.length && lines.get(following).isEmpty()) {
            following++;
        }
        boolean last = following >= kinds.length || kinds[following] != Kind.OWN;
        if (last) {
            return !isThanks(words);
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

    private static String withoutName(String words, List<String> names) {
        for (String name : names) {
            if (words.endsWith(" " + name)) {
                return words.substring(0, words.length() - name.length() - 1);
            }
        }
        return words;
    }

    private static String wordsOf(String line) {
        char[] words = new char[line.length()];
        int length = 0;
        for (int i = 0; i < line.length(); i++) {
            char c = Letters.folded(line.charAt(i));
            if (Letters.isLetter(c) || c == '\'') {
                words[length++] = c;
            } else if (length > 0 && words[length - 1] != ' ') {
                words[length++] = ' ';
            }
        }
        return new String(words, 0, length).strip();
    }

    private static List<String> namesOf(String writer) {
        List<String> names = new ArrayList<>();
        String whole = wordsOf(writer);
        if (whole.isEmpty()) {
            return names;
        }
        names.add(whole);
        String[] parts = whole.split(" ");
        StringBuilder initials = new StringBuilder();
        for (String part : parts) {
            if (part.length() > 1) {
                names.add(part);
            }
            initials.append(part.charAt(0));
        }
        names.add(parts[0].substring(0, 1));
        names.add(initials.toString());
        return names;
    }

    /** Whether the line holds only the writer's name, a short form of it, or initials, with a cross or a dash at most. */
    private static boolean isName(String line, String words, List<String> names) {
        if (words.isEmpty() || names.isEmpty()) {
            return false;
        }
        String kept =
                words.endsWith(" x") || words.endsWith(" xx") ? words.substring(0, words.lastIndexOf(' ')) : words;
        if (names.contains(kept) || names.contains(kept.replace(" ", ""))) {
            return !line.endsWith("?") && (line.length() > 2 || !line.endsWith("!"));
        }
        // "Thad" under a letter of Thaddeus, "Lou" under one of Louise.
        boolean oneWord = kept.indexOf(' ') < 0;
        boolean bare = line.length() <= kept.length() + 2;
        if (oneWord && bare && kept.length() >= 2 && Character.isUpperCase(firstLetter(line))) {
            return names.stream().anyMatch(name -> name.length() > kept.length() && name.startsWith(kept));
        }
        if (isInitialsAndName(line, kept, names)) {
            return true;
        }
        // "Dr Niamh Costigan-Hale": every name of hers, with a title.
        return names.get(0).contains(" ")
                && kept.endsWith(names.get(0))
                && kept.length() <= names.get(0).length() + 6;
    }

    /** "A. Roche", "Mrs Pole", "Anselm R." under a letter of Anselm Roche. */
    private static boolean isInitialsAndName(String line, String kept, List<String> names) {
        String[] said = kept.split(" ");
        boolean named = false;
        for (String word : said) {
            boolean part = word.length() > 1 && names.contains(word);
            boolean initial = word.length() == 1
                    && names.stream().anyMatch(name -> name.length() > 1 && name.charAt(0) == word.charAt(0));
            if (!part && !initial && !People.isTitle(word)) {
                return false;
            }
            named |= part;
        }
        return named && Character.isUpperCase(firstLetter(line)) && !line.endsWith("?") && !line.endsWith("!");
    }

    private static char firstLetter(String line) {
        for (int i = 0; i < line.length(); i++) {
            if (Character.isLetter(line.charAt(i))) {
                return line.charAt(i);
            }
        }
        return ' ';
    }

    private static boolean isFooter(String line) {
        String lower = line.toLowerCase(Locale.ROOT);
        boolean advertisesProgram =
                lower.startsWith("get ") && (lower.endsWith(" for ios") || lower.endsWith(" for android"));
        if (advertisesProgram) {
            return true;
        }
        return startsWithOneOf(lower, WHOLE_FOOTERS)
                || (startsWithOneOf(lower, FOOTER_STARTS) && FOOTERS.stream().anyMatch(lower::contains));
    }

    private static boolean startsWithOneOf(String line, List<String> starts) {
        for (String start : starts) {
            if (line.startsWith(start)) {
                return true;
            }
        }
        return false;
    }
}
