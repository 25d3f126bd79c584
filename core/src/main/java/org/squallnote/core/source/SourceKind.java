package org.squallnote.core.source;

/** What a source is. */
public enum SourceKind {
    /** A mail account, which is read and sent by. */
    MAIL,
    /** A chat account, which is read and sent by. */
    CHAT,
    /** Calendars of a server, which are read. */
    CALENDARS,
    /** Where imported mail and calendars are from; nothing is read there by itself, and nothing sent. */
    FILES
}
