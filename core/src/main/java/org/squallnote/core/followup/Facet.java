package org.squallnote.core.followup;

/** By what follow-ups stand together. */
public enum Facet {
    REPLY_BY,
    CATEGORY,
    PERSON,
    PLACE,
    EFFORT,
    PRIORITY,
    /** The mailbox or chat account that it came from. */
    SOURCE,
    /** Whether it is to be done, waits or is put off. */
    STATE
}
