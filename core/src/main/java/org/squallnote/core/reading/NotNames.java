package org.squallnote.core.reading;

import java.util.HashSet;
import java.util.Set;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.WordList;

/** Words that stand where a name could and are none. */
final class NotNames {

    private static final Set<String> WORDS = new HashSet<>(WordList.lines(NotNames.class, "not-names.txt"));

    private NotNames() {}

    static boolean isOne(String norm) {
        return WORDS.contains(norm) || Clauses.isLeadIn(norm) || Clauses.isConjunction(norm) || norm.endsWith("ly");
    }
}
