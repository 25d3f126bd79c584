package org.squallnote.core.search;

/** How things stand with what is found. */
public enum Standing {
    /** A message in Intake. */
    UNDECIDED,
    /** A follow-up that is open. */
    OPEN,
    /** A follow-up that has ended. */
    ENDED,
    /** A message that was decided. */
    DECIDED
}
