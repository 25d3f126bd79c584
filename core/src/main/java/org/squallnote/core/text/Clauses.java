package org.squallnote.core.text;

import java.util.Set;

/**
 * Where the parts of a sentence begin: at its start, after a mark, after a conjunction, each time behind the words that
 * only lead in ("ok but then", "sorry", "Hi").
 */
public final class Clauses {

    private static final WordSet LEAD_IN = WordSet.listed(Clauses.class, "lead-in.txt");
    private static final WordSet CONJUNCTIONS = WordSet.of("and", "but", "so", "or", "then", "also", "plus", "because");

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
        return CONJUNCTIONS.has(previous) || (started && (LEAD_IN.has(previous) || previous.isMention()));
    }

    /** The words that only lead in. */
    public static Set<String> leadIns() {
        return LEAD_IN.words();
    }

    /** Whether the word at that place only leads in to what is said. */
    public static boolean isLeadIn(Sentence sentence, int index) {
        return LEAD_IN.has(sentence, index);
    }

    /** Whether the word at that place joins two parts. */
    public static boolean isConjunction(Sentence sentence, int index) {
        return CONJUNCTIONS.has(sentence, index);
    }
}
