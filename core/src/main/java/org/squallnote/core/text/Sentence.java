package org.squallnote.core.text;

import java.util.List;

/** A sentence, a heading, a line of a list: what stands between two ends. */
public final class Sentence {

    private final PhraseBook book;
    private final Word[] words;
    private final boolean[] clauseStarts;
    /** For each known word one bit, so that most looks for a word that is not there end at once. */
    private final long[] mask = new long[WordSet.MASK_ROWS];

    private final int edition;
    private final Span span;
    private final char ending;
    private final int paragraph;
    private final boolean startsLine;

    /**
     * A sentence of at least one word.
     *
     * @param book the phrases and words of its language
     * @param span from its first to its last character, the ending mark included
     * @param ending {@code ?}, {@code !} or {@code .}, or {@link Word#NOTHING} where the line just ends
     * @param paragraph number of the paragraph it belongs to, counted over the text
     * @param startsLine whether it is the first one in its line
     */
    Sentence(PhraseBook book, List<Word> words, Span span, char ending, int paragraph, boolean startsLine) {
        this.book = book;
        this.words = words.toArray(new Word[0]);
        this.clauseStarts = Clauses.startsIn(book, this.words);
        this.edition = Vocabulary.edition();
        for (Word word : this.words) {
            if (word.number() > 0) {
                mask[(word.number() >> 6) & (WordSet.MASK_ROWS - 1)] |= 1L << word.number();
            }
        }
        this.span = span;
        this.ending = ending;
        this.paragraph = paragraph;
        this.startsLine = startsLine;
    }

    /** The phrases and words of its language. */
    public PhraseBook book() {
        return book;
    }

    /** From its first to its last character, the ending mark included. */
    public Span span() {
        return span;
    }

    /** The number of its paragraph in the text. */
    public int paragraph() {
        return paragraph;
    }

    /** Whether it is the first sentence in its line. */
    public boolean startsLine() {
        return startsLine;
    }

    /** How many words. */
    public int size() {
        return words.length;
    }

    /** The word at that place. */
    public Word at(int index) {
        return words[index];
    }

    /** What rules look at, or nothing beyond either end. */
    public String norm(int index) {
        return index < 0 || index >= words.length ? "" : words[index].norm();
    }

    /** Whether a word with a bit of that mask may stand here; words that were added later always may. */
    boolean mayHold(long[] other, int otherEdition) {
        if (edition < otherEdition) {
            return true;
        }
        for (int i = 0; i < mask.length; i++) {
            if ((mask[i] & other[i]) != 0) {
                return true;
            }
        }
        return false;
    }

    /** Whether one of its words is one of these. */
    public boolean hasWord(String... norms) {
        for (Word word : words) {
            if (word.is(norms)) {
                return true;
            }
        }
        return false;
    }

    /** Whether it ends with a question mark. */
    public boolean isQuestion() {
        return ending == '?';
    }

    /** Whether it ends with an exclamation mark. */
    public boolean isExclamation() {
        return ending == '!';
    }

    /** Whether the word at that place starts a part of the sentence: the first word, or one after a mark. */
    public boolean startsPart(int index) {
        return index == 0 || (index < words.length && words[index].followsMark());
    }

    /** Whether a clause begins at that word, behind the words that only lead in: see {@link Clauses}. */
    public boolean startsClause(int index) {
        return clauseStarts[index];
    }

    /** From the first word to the last one, without the ending mark. */
    public Span spanOf(int fromInclusive, int toExclusive) {
        return new Span(
                words[fromInclusive].span().fromInclusive(),
                words[toExclusive - 1].span().toExclusive());
    }
}
