package org.squallnote.core.text;

import java.util.Arrays;
import java.util.Map;
import java.util.Set;

/** Words that stand for a number each, as "third" for 3; looking up a word of a sentence compares no letters. */
public final class WordValues {

    /** What other words stand for. */
    public static final int NONE = -1;

    private final Map<String, Integer> values;
    private final int[] byNumber;
    private final int edition;

    /** Values, none of them negative, by words as {@link Word#norm} would have them. */
    public WordValues(Map<String, Integer> values) {
        this.values = Map.copyOf(values);
        Vocabulary.add(values.keySet());
        edition = Vocabulary.edition();
        byNumber = new int[edition + 1];
        Arrays.fill(byNumber, NONE);
        values.forEach((word, value) -> byNumber[Vocabulary.numberOf(word)] = value);
    }

    /** What the word at that place of a sentence stands for, or {@link #NONE}. */
    public int at(Sentence sentence, int index) {
        if (index < 0 || index >= sentence.size()) {
            return NONE;
        }
        Word word = sentence.at(index);
        int number = word.number();
        if (number >= 0) {
            return number < byNumber.length ? byNumber[number] : NONE;
        }
        return -number < edition ? of(word.norm()) : NONE;
    }

    /** What a word that stands in no sentence stands for, or {@link #NONE}. */
    public int of(String norm) {
        return values.getOrDefault(norm, NONE);
    }

    /** All words that stand for a number. */
    public Set<String> words() {
        return values.keySet();
    }
}
