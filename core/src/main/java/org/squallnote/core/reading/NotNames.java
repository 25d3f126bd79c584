package org.squallnote.core.reading;

import java.util.Locale;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Words that stand where a name could and are none. */
final class NotNames {

    private static final WordSet WORDS = WordSet.listed(NotNames.class, "not-names.txt");

    private NotNames() {}

    /** Whether a word that stands alone on a line is none. */
    static boolean isOne(String line) {
        String word = line.toLowerCase(Locale.ROOT);
        return WORDS.has(word)
                || ReadingLanguage.ENGLISH.phrases().holds(word)
                || word.endsWith("ly")
                || word.endsWith("ed");
    }

    static boolean isOne(Sentence sentence, int index) {
        return WORDS.has(sentence, index)
                || Clauses.isLeadIn(sentence, index)
                || Clauses.isConjunction(sentence, index)
                || sentence.norm(index).endsWith("ly");
    }
}
