package org.squallnote.core.message;

/** What the user has said about whether something asks them. */
public enum Asks {
    YES,
    NEVER
}
