package org.squallnote.core.outbox;

/** What can be done on a server. */
public enum OutboxKind {
    SEND_MAIL,
    /** Puts a sent mail into the folder for sent mail. */
    APPEND_SENT,
    SEND_CHAT,
    /** Sends a file into a room. */
    SEND_CHAT_FILE,
    /** Reacts to a chat message. */
    REACT,
    /** Takes a reaction back. */
    UNREACT,
    /** Moves my marker of what is read in a room. */
    READ_UP_TO,
    /** Enters a room. */
    JOIN_ROOM,
    /** Leaves a room, or declines the invitation to it. */
    LEAVE_ROOM,
    ARCHIVE,
    /** Moves an archived message back. */
    UNARCHIVE,
    MARK_READ,
    MARK_UNREAD,
    /** Puts a draft, as it is then, into the folder for drafts. */
    KEEP_DRAFT,
    /** Takes a draft out of the folder for drafts. */
    FORGET_DRAFT,
    /** Writes an event into a calendar, or takes it out of there. */
    WRITE_EVENT,
    /** Writes a task into a task list, or takes it out of there. */
    WRITE_TASK;

    /** Whether somebody gets something by it. */
    public boolean sends() {
        return this == SEND_MAIL || this == SEND_CHAT || this == SEND_CHAT_FILE;
    }
}
