package org.squallnote.core.text;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Words that a rule looks for; asking whether a word of a sentence is one of them compares no letters. */
public final class WordSet {

    /** A sentence is summed up in so many times 64 bits. */
    static final int MASK_ROWS = 4;

    private final Set<String> words;
    private final long[] numbers;
    private final long[] mask = new long[MASK_ROWS];
    private final int edition;

    private WordSet(Collection<String> words) {
        this.words = new HashSet<>(words);
        Vocabulary.add(words);
        int largest = 0;
        for (String word : words) {
            largest = Math.max(largest, Vocabulary.numberOf(word));
        }
        numbers = new long[(largest >> 6) + 1];
        for (String word : words) {
            int number = Vocabulary.numberOf(word);
            numbers[number >> 6] |= 1L << number;
            mask[(number >> 6) & (MASK_ROWS - 1)] |= 1L << number;
        }
        edition = Vocabulary.edition();
    }

    /** A set of these words, as {@link Word#norm} would have them. */
    public static WordSet of(String... words) {
        return new WordSet(List.of(words));
    }

    /** A set of these words. */
    public static WordSet of(Collection<String> words) {
        return new WordSet(words);
    }

    /** The words of a data file that lies beside a class. */
    public static WordSet listed(Class<?> beside, String file) {
        return new WordSet(WordList.lines(beside, file));
    }

    /** Whether the word is one of them. */
    public boolean has(Word word) {
        int number = word.number();
        if (number >= 0) {
            int row = number >> 6;
            return row < numbers.length && (numbers[row] & (1L << number)) != 0;
        }
        return -number < edition && words.contains(word.norm());
    }

    /** Whether the word at that place of a sentence is one of them; there is none beyond either end. */
    public boolean has(Sentence sentence, int index) {
        return index >= 0 && index < sentence.size() && has(sentence.at(index));
    }

    /** Whether a word that stands in no sentence is one of them. */
    public boolean has(String norm) {
        return words.contains(norm);
    }

    /** Whether one of them may stand in the sentence: quickly, and sometimes yes where none does. */
    public boolean mayStandIn(Sentence sentence) {
        return sentence.mayHold(mask, edition);
    }

    /** Whether any word of the sentence is one of them. */
    public boolean hasAnyOf(Sentence sentence) {
        if (!sentence.mayHold(mask, edition)) {
            return false;
        }
        for (int i = 0; i < sentence.size(); i++) {
            if (has(sentence.at(i))) {
                return true;
            }
        }
        return false;
    }

    /** All of them, in no order. */
    public Set<String> words() {
        return Set.copyOf(words);
    }
}
