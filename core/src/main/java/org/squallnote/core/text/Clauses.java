package org.squallnote.core.text;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Where the parts of a sentence begin: at its start, after a mark, after a conjunction, each time behind the words that
 * only lead in ("ok but then", "sorry", "Hi").
 */
public final class Clauses {

    private static final Set<String> LEAD_IN = new HashSet<>(WordList.lines(Clauses.class, "lead-in.txt"));
    private static final Set<String> CONJUNCTIONS =
            new HashSet<>(List.of("and", "but", "so", "or", "then", "also", "plus", "because"));

    private Clauses() {}

    /** For each word whether a part begins there. */
    static boolean[] startsIn(Word[] words) {
        boolean[] starts = new boolean[words.length];
        for (int i = 0; i < words.length; i++) {
            starts[i] = i == 0 || words[i].followsMark() || startsAfter(words[i - 1], starts[i - 1]);
        }
        return starts;
    }

    private static boolean startsAfter(Word previous, boolean started) {
        return CONJUNCTIONS.contains(previous.norm())
                || (started && (LEAD_IN.contains(previous.norm()) || previous.isMention()));
    }

    /** Whether the word only leads in to what is said. */
    public static boolean isLeadIn(String norm) {
        return LEAD_IN.contains(norm);
    }

    /** Whether the word joins two parts. */
    public static boolean isConjunction(String norm) {
        return CONJUNCTIONS.contains(norm);
    }
}
