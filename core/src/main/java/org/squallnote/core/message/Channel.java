package org.squallnote.core.message;

/** The kind of source a message came by. */
public enum Channel {
    MAIL,
    CHAT
}
