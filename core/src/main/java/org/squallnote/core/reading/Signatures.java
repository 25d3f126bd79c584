package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.squallnote.core.reading.OwnWords.Kind;
import org.squallnote.core.text.WordList;

/**
 * Finds where a letter ends and its signature begins: the signature mark of RFC 3676 section 4.3, a complimentary close
 * on a line of its own, the writer's name on a line of its own; and legal footers and device lines anywhere at the end.
 * A postscript behind it counts as own words again.
 */
final class Signatures {

    private static final Set<String> CLOSES = Set.copyOf(WordList.lines(Signatures.class, "closes.txt"));
    private static final List<String> FOOTERS = WordList.lines(Signatures.class, "footers.txt");

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

    /** Neither a close nor a name is longer. */
    private static final int LONGEST_LAST_LINE = 90;

    private Signatures() {}

    /** Marks the own lines that belong to a signature. */
    static void mark(List<String> lines, Kind[] kinds, String writer) {
        List<String> names = namesOf(writer);
        int first = firstOwn(kinds, lines);
        boolean signature = false;
        boolean wordsSeen = false;
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
            } else if (!signature && i > first && wordsSeen && endsLetter(lines, kinds, i, names)) {
                signature = true;
            }
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
        if (line.length() > LONGEST_LAST_LINE) {
            return false;
        }
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

    /** Thanks at the end of a letter closes it; the same word as the whole message is what the message says. */
    private static boolean onlyShortLinesFollow(List<String> lines, Kind[] kinds, int at, String words) {
        int following = at + 1;
        while (following < kinds.length && lines.get(following).isEmpty()) {
            following++;
        }
        boolean last = following >= kinds.length || kinds[following] != Kind.OWN;
        boolean thanks = words.startsWith("thank") || words.contains("thanks") || words.equals("cheers");
        if (last) {
            return !thanks;
        }
        String next = lines.get(following);
        return (next.split(" ").length <= 5 && !next.endsWith("?") && !next.endsWith(".")) || next.length() <= 3;
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
        StringBuilder words = new StringBuilder();
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            if (Character.isLetter(c) || c == '\'' || c == '’') {
                words.append(Character.toLowerCase(c == '’' ? '\'' : c));
            } else if (words.length() > 0 && words.charAt(words.length() - 1) != ' ') {
                words.append(' ');
            }
        }
        return words.toString().strip();
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
        for (String footer : FOOTERS) {
            if (footer.startsWith("^") && lower.startsWith(footer.substring(1))) {
                return true;
            }
            if (!footer.startsWith("^")
                    && lower.contains(footer)
                    && FOOTER_STARTS.stream().anyMatch(lower::startsWith)) {
                return true;
            }
        }
        return false;
    }
}
