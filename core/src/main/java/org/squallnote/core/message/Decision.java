package org.squallnote.core.message;

/** What became of a message in Intake. */
public enum Decision {
    /** Waits in Intake. */
    UNDECIDED,
    /** Became one or more follow-ups. */
    FOLLOW_UP,
    /** Answered from Intake. */
    ANSWERED,
    /** Given to somebody else. */
    HANDED_OVER,
    /** Needs nothing. */
    NOTHING,
    /** Never came to Intake: my own message, or older than what Intake starts with. */
    NOT_ASKED
}
