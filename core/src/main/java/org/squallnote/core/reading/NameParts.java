package org.squallnote.core.reading;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.squallnote.core.text.WordSet;

/** The parts of a person's name. */
final class NameParts {

    static final WordSet TITLES = WordSet.listed(NameParts.class, "titles.txt");

    /** A shorter half of a double name is none by itself. */
    private static final int SHORTEST_HALF = 3;

    private NameParts() {}

    /** A person's names, given name first, without titles: "Hale-Booth, Dr Ann" is ann, hale-booth, hale, booth. */
    static List<String> partsOf(String name) {
        String swapped = name;
        int comma = name.indexOf(',');
        if (comma > 0) {
            swapped = name.substring(comma + 1) + " " + name.substring(0, comma);
        }
        List<String> parts = new ArrayList<>();
        int from = 0;
        for (int i = 0; i <= swapped.length(); i++) {
            if (i == swapped.length() || isBetweenNames(swapped.charAt(i))) {
                addPart(lettersIn(swapped, from, i), parts);
                from = i + 1;
            }
        }
        return parts;
    }

    private static boolean isBetweenNames(char c) {
        return Character.isWhitespace(c) || c == '(' || c == ')' || c == '[' || c == ']' || c == '"';
    }

    /** The stretch without what is no letter at its ends. */
    private static String lettersIn(String name, int fromInclusive, int toExclusive) {
        int from = fromInclusive;
        int to = toExclusive;
        while (from < to && !Character.isLetter(name.charAt(from))) {
            from++;
        }
        while (to > from && !Character.isLetter(name.charAt(to - 1))) {
            to--;
        }
        return folded(name.substring(from, to));
    }

    private static void addPart(String part, List<String> parts) {
        if (part.length() < 2 || TITLES.has(part)) {
            return;
        }
        parts.add(part);
        if (part.indexOf('-') > 0) {
            for (String half : part.split("-")) {
                if (half.length() >= SHORTEST_HALF) {
                    parts.add(half);
                }
            }
        }
    }

    /** In lower case, without accents. */
    static String folded(String name) {
        return withoutAccents(name.toLowerCase(Locale.ROOT).replace('’', '\''));
    }

    static String withoutAccents(String lower) {
        for (int i = 0; i < lower.length(); i++) {
            if (lower.charAt(i) > 127) {
                return Normalizer.normalize(lower, Normalizer.Form.NFD).replaceAll("\\p{M}", "");
            }
        }
        return lower;
    }
}
