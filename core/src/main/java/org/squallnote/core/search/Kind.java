package org.squallnote.core.search;

/** What can be found. */
public enum Kind {
    MESSAGE,
    FOLLOW_UP,
    /** Somebody who has written or was written to. */
    PERSON,
    /** A file that came with a message: its name and the text in it. */
    FILE
}
