package org.squallnote.core.outbox;

/** What can be done on a server. */
public enum OutboxKind {
    SEND_MAIL,
    /** Puts a sent mail into the folder for sent mail. */
    APPEND_SENT,
    SEND_CHAT,
    ARCHIVE,
    /** Moves an archived message back. */
    UNARCHIVE,
    MARK_READ,
    MARK_UNREAD,
    /** Puts a draft, as it is then, into the folder for drafts. */
    KEEP_DRAFT,
    /** Takes a draft out of the folder for drafts. */
    FORGET_DRAFT;

    /** Whether somebody gets something by it. */
    public boolean sends() {
        return this == SEND_MAIL || this == SEND_CHAT;
    }
}
