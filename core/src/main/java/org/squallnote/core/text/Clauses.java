package org.squallnote.core.text;

import java.util.HashSet;
import java.util.Set;

/**
 * Where the parts of a sentence begin: at its start, after a mark, after a conjunction, each time behind the words that
 * only lead in ("ok but then", "sorry", "Hi").
 */
public final class Clauses {

    private static final Set<String> LEAD_IN = new HashSet<>(WordList.lines(Clauses.class, "lead-in.txt"));
    private static final Set<String> CONJUNCTIONS = Set.of("and", "but", "so", "or", "then", "also", "plus", "because");

    private Clauses() {}

    /** Whether a part begins at that word. */
    public static boolean startsAt(Sentence sentence, int index) {
        int i = index;
        while (true) {
            if (i == 0 || sentence.at(i).followsMark()) {
                return true;
            }
            String previous = sentence.norm(i - 1);
            if (CONJUNCTIONS.contains(previous)) {
                return true;
            }
            if (!isLeadIn(previous) && !sentence.at(i - 1).isMention()) {
                return false;
            }
            i--;
        }
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
