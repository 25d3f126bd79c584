package org.squallnote.core.message;

/** What kind of writer is behind a message. */
public enum Nature {
    /** A delivery-status report about a message that did not arrive (RFC 3464). */
    BOUNCE,
    /** An automatic answer such as an out-of-office notice (RFC 3834). */
    AUTO_REPLY,
    /** A calendar request that expects an answer (RFC 5546, {@code METHOD:REQUEST}). */
    INVITATION,
    /** A newsletter, a notification, a report: nobody waits for an answer. */
    BULK,
    /** Written by a person to people, posts to a discussion list included. */
    PERSON;

    /** Whether somebody may expect an answer, so that the message can change whose turn it is. */
    public boolean isPersonal() {
        return this == PERSON || this == INVITATION;
    }
}
