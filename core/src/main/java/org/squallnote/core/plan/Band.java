package org.squallnote.core.plan;

/** Where in the day something stands, by my own choice. */
public enum Band {
    NOW,
    LATER,
    IF_TIME
}
