package org.squallnote.core.message;

/** Whether a message came to me or went out from me. */
public enum Direction {
    INCOMING,
    OUTGOING
}
