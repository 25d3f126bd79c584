package org.squallnote.core.dates;

import java.util.HashSet;
import java.util.Set;
import org.squallnote.core.text.WordList;

/** Words that a date phrase can begin with, so that most words are passed over at once. */
final class DateStarts {

    private static final Set<String> WORDS = new HashSet<>(WordList.lines(DateStarts.class, "date-starts.txt"));

    private DateStarts() {}

    static boolean isOne(String word) {
        return !word.isEmpty()
                && (Character.isDigit(word.charAt(0))
                        || WORDS.contains(word)
                        || DateWords.isWeekday(word)
                        || DateWords.month(word) != DateWords.NONE
                        || DateWords.number(word) != DateWords.NONE
                        || DateWords.isWrittenOrdinal(word));
    }
}
