package org.squallnote.core.text;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Fixed wordings of a data file, in lower case, that may stand anywhere in a text. Nearly every text has none; that is
 * known after a look for a few words of which each wording holds one.
 */
public final class Wordings {

    private static final int SHORTEST_KEY = 4;

    private final List<String> all;
    private final List<String> keys;

    private Wordings(List<String> all) {
        this.all = all;
        this.keys = keysOf(all);
    }

    /** The entries of a list that lies beside a class. */
    public static Wordings listed(Class<?> beside, String file) {
        return new Wordings(WordList.lines(beside, file));
    }

    /** A few words that all wordings are covered by: each time the one that most of the rest hold. */
    private static List<String> keysOf(List<String> all) {
        Set<String> words = new TreeSet<>(all);
        for (String wording : all) {
            for (String word : wording.split(" ")) {
                if (word.length() >= SHORTEST_KEY) {
                    words.add(word);
                }
            }
        }
        List<String> keys = new ArrayList<>();
        List<String> rest = new ArrayList<>(all);
        while (!rest.isEmpty()) {
            String best = Collections.max(
                    words,
                    Comparator.<String>comparingLong(word -> holding(word, rest))
                            .thenComparing(String::length));
            keys.add(best);
            rest.removeIf(wording -> wording.contains(best));
        }
        return keys;
    }

    private static long holding(String word, List<String> wordings) {
        return wordings.stream().filter(wording -> wording.contains(word)).count();
    }

    /** Whether one of them stands in a text in lower case. */
    public boolean isAnyIn(String lower) {
        return isAnyOf(keys, lower) && isAnyOf(all, lower);
    }

    /** How many of them stand in a text in lower case. */
    public int countIn(String lower) {
        int count = 0;
        for (String wording : all) {
            count += lower.contains(wording) ? 1 : 0;
        }
        return count;
    }

    private static boolean isAnyOf(List<String> wordings, String lower) {
        for (String wording : wordings) {
            if (lower.contains(wording)) {
                return true;
            }
        }
        return false;
    }
}
