package org.squallnote.core.dates;

import java.util.List;
import java.util.Set;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordValues;

/** Words that are understood with a slip in them: "wendesday". */
final class SpeltWords {

    private static final int SHORTEST_GUESSED = 6;

    private final WordValues known;
    private final List<String> guessable;

    SpeltWords(WordValues known) {
        this.known = known;
        this.guessable = known.words().stream()
                .filter(word -> word.length() >= SHORTEST_GUESSED)
                .toList();
    }

    /** The words as they are written right. */
    Set<String> words() {
        return known.words();
    }

    /** What the word at that place of a sentence stands for, with a slip or without, or {@link WordValues#NONE}. */
    int at(Sentence sentence, int index) {
        int value = known.at(sentence, index);
        return value == WordValues.NONE ? slipIn(sentence.norm(index)) : value;
    }

    /** The same for a word that stands in no sentence. */
    int of(String word) {
        int value = known.of(word);
        return value == WordValues.NONE ? slipIn(word) : value;
    }

    /** What the word stands for that was meant, or {@link WordValues#NONE}. */
    int slipIn(String word) {
        if (!endsAsADay(word)) {
            return WordValues.NONE;
        }
        for (String right : guessable) {
            if (right.charAt(0) == word.charAt(0)
                    && Math.abs(right.length() - word.length()) <= 1
                    && isOneSlipAway(word, right)) {
                return known.of(right);
            }
        }
        return WordValues.NONE;
    }

    /** Whether a word is long enough to guess and ends as weekdays and some months do. */
    static boolean endsAsADay(String word) {
        if (word.length() < SHORTEST_GUESSED) {
            return false;
        }
        char last = word.charAt(word.length() - 1);
        return last == 'y' || (last == 'r' && word.charAt(word.length() - 2) == 'e');
    }

    /** Whether one letter was left out, added, changed, or two neighbours swapped. */
    static boolean isOneSlipAway(String a, String b) {
        int from = 0;
        int shorter = Math.min(a.length(), b.length());
        while (from < shorter && a.charAt(from) == b.charAt(from)) {
            from++;
        }
        int ends = 0;
        while (ends < shorter - from && a.charAt(a.length() - 1 - ends) == b.charAt(b.length() - 1 - ends)) {
            ends++;
        }
        int restA = a.length() - from - ends;
        int restB = b.length() - from - ends;
        if (restA <= 1 && restB <= 1) {
            return true;
        }
        return restA == 2 && restB == 2 && a.charAt(from) == b.charAt(from + 1) && a.charAt(from + 1) == b.charAt(from);
    }
}
