package org.squallnote.core.rule;

import org.squallnote.core.text.Sentence;

/** Where a rule is tried: at a date of a sentence. Places are indexes of words. */
public interface Setting {

    /** The sentence. */
    Sentence sentence();

    /** Where the date begins. */
    int from();

    /** The place behind the date. */
    int to();

    /** Where the part of the sentence begins that gaps stay in. */
    int unitStart();

    /** The place behind that part. */
    int unitEnd();

    /** Whether that part begins at a word, behind those that only lead in to it. */
    boolean opens(int place);

    /** The number of the clause that a word belongs to. */
    int clauseOf(int place);

    /** Whether a word is of a kind that no list tells: a {@code name}, a {@code noun}. */
    boolean isKind(String kind, int place);

    /**
     * Whether what is said of the date holds.
     *
     * @param what a form such as {@code day}, {@code timed}, or which of its words: {@code first}
     * @param word which word that is, empty for a form
     */
    boolean isDate(String what, String word);

    /** Whether a condition of a rule holds: {@code question}, {@code needed}. */
    boolean holds(String condition);
}
