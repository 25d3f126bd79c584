package org.squallnote.core.text;

import java.util.List;

/**
 * A sentence, a heading, a line of a list: what stands between two ends.
 *
 * @param words its words, at least one
 * @param span from its first to its last character, the ending mark included
 * @param ending {@code ?}, {@code !} or {@code .}, or {@link Word#NOTHING} where the line just ends
 * @param paragraph number of the paragraph it belongs to, counted over the text
 * @param startsLine whether it is the first one in its line
 */
public record Sentence(List<Word> words, Span span, char ending, int paragraph, boolean startsLine) {

    /** Copies the words. */
    public Sentence {
        words = List.copyOf(words);
    }

    /** How many words. */
    public int size() {
        return words.size();
    }

    /** The word at that place. */
    public Word at(int index) {
        return words.get(index);
    }

    /** What rules look at, or nothing beyond either end. */
    public String norm(int index) {
        return index < 0 || index >= words.size() ? "" : words.get(index).norm();
    }

    /** Whether it ends with a question mark. */
    public boolean isQuestion() {
        return ending == '?';
    }

    /** Whether the word at that place starts a part of the sentence: the first word, or one after a mark. */
    public boolean startsPart(int index) {
        return index == 0 || (index < words.size() && words.get(index).followsMark());
    }

    /** From the first word to the last one, without the ending mark. */
    public Span spanOf(int fromInclusive, int toExclusive) {
        return new Span(
                words.get(fromInclusive).span().fromInclusive(),
                words.get(toExclusive - 1).span().toExclusive());
    }
}
