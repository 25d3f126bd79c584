package org.squallnote.core.repetition;

/** What becomes of a day that the rule gives and on which nobody works. */
public enum DaysOff {
    /** It stays as it is. */
    KEPT,
    /** The first working day after it is taken. */
    WORKING_DAY_AFTER,
    /** The last working day before it is taken. */
    WORKING_DAY_BEFORE,
    /** It is left out. */
    LEFT_OUT
}
