package org.squallnote.core.category;

import java.util.Collection;
import java.util.Locale;

/** The two letters that stand for a category beside its hue, so that colour is never the only sign. */
public final class Monogram {

    private Monogram() {}

    /**
     * Proposes a monogram: the initials of two words, else the first letter with the first later one that makes
     * the pair free.
     *
     * @param taken monograms that other categories have
     */
    public static String propose(String name, Collection<String> taken) {
        String letters = name.replaceAll("[^\\p{L}\\p{N} ]", "").strip();
        String[] words = letters.split("\\s+");
        if (words.length > 1) {
            String initials = pair(words[0].substring(0, 1), words[1].substring(0, 1));
            if (!taken.contains(initials)) {
                return initials;
            }
        }
        String joined = letters.replace(" ", "");
        for (int i = 1; i < joined.length(); i++) {
            String candidate = pair(joined.substring(0, 1), joined.substring(i, i + 1));
            if (!taken.contains(candidate)) {
                return candidate;
            }
        }
        String first = joined.isEmpty() ? "X" : joined.substring(0, 1);
        for (char digit = '1'; digit <= '9'; digit++) {
            String candidate = pair(first, String.valueOf(digit));
            if (!taken.contains(candidate)) {
                return candidate;
            }
        }
        return pair(first, "0");
    }

    private static String pair(String first, String second) {
        return first.toUpperCase(Locale.ROOT) + second.toLowerCase(Locale.ROOT);
    }
}
