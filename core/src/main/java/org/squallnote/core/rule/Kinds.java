package org.squallnote.core.rule;

/**
 * Words that no list tells, as a pattern names them: {@code {weekday}}, {@code {day}}; also what has to be true at a place
 * and takes no words there.
 */
@FunctionalInterface
public interface Kinds {

    /**
     * The place behind such words where they begin at a place of the sentence, which may lie outside; that place itself
     * where it takes no words; negative where none stand there.
     */
    int endOf(String kind, int place);

    /** Whether words of no kind begin at a place, besides those that other groups name: it is then not asked of each. */
    default boolean isOfNoKind(int place) {
        return false;
    }
}
