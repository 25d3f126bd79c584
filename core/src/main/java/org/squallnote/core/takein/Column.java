package org.squallnote.core.takein;

/** What a column of a table says of a follow-up. */
public enum Column {
    TITLE,
    REPLY_BY,
    START,
    CATEGORY,
    EFFORT,
    PRIORITY,
    PERSON,
    PLACE,
    NOTE,
    STEPS,
    STATE,
    /** Left out. */
    NOTHING
}
