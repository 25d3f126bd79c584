package org.squallnote.core.reading;

import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Words that stand where a name could and are none. */
final class NotNames {

    private static final WordSet WORDS = WordSet.listed(NotNames.class, "not-names.txt");

    private NotNames() {}

    static boolean isOne(Sentence sentence, int index) {
        return WORDS.has(sentence, index)
                || Clauses.isLeadIn(sentence, index)
                || Clauses.isConjunction(sentence, index)
                || sentence.norm(index).endsWith("ly");
    }
}
