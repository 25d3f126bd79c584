package org.squallnote.core.text;

/**
 * Where the parts of a sentence begin: at its start, after a mark, after a conjunction, each time behind the words that
 * only lead in ("ok but then", "sorry", "Hi").
 */
public final class Clauses {

    private Clauses() {}

    /** For each word whether a part begins there. */
    static boolean[] startsIn(PhraseBook book, Word[] words) {
        boolean[] starts = new boolean[words.length];
        for (int i = 0; i < words.length; i++) {
            starts[i] = i == 0 || words[i].followsMark() || startsAfter(book, words[i - 1], starts[i - 1]);
        }
        return starts;
    }

    private static boolean startsAfter(PhraseBook book, Word previous, boolean started) {
        return book.set(WordClass.CONJUNCTION).has(previous)
                || (started && (book.set(WordClass.LEAD_IN).has(previous) || previous.isMention()));
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
