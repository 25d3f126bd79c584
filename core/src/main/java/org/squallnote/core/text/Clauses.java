package org.squallnote.core.text;

/**
 * Where the parts of a sentence begin: at its start, after a mark, after a conjunction, each time behind the words that
 * only lead in ("ok but then", "sorry", "Hi").
 */
public final class Clauses {

    private Clauses() {}

    /** For each word whether a part begins there. */
    static boolean[] startsIn(PhraseBook book, Word[] words) {
        WordSet conjunctions = book.set(WordClass.CONJUNCTION);
        WordSet leadIns = book.set(WordClass.LEAD_IN);
        boolean[] starts = new boolean[words.length];
        for (int i = 0; i < words.length; i++) {
            boolean led = i > 0 && starts[i - 1] && (leadIns.has(words[i - 1]) || words[i - 1].isMention());
            starts[i] = i == 0 || led || words[i].followsMark() || conjunctions.has(words[i - 1]);
        }
        return starts;
    }

    /** Whether the word at that place only leads in to what is said. */
    public static boolean isLeadIn(Sentence sentence, int index) {
        return WordClass.LEAD_IN.has(sentence, index);
    }

    /** Whether the word at that place joins two parts. */
    public static boolean isConjunction(Sentence sentence, int index) {
        return WordClass.CONJUNCTION.has(sentence, index);
    }
}
