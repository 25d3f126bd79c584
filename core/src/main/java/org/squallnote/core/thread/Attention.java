package org.squallnote.core.thread;

/** How much a thread is mine. */
public enum Attention {
    /** It is: whose turn it is follows from its messages. */
    MINE,
    /** It is one of others that I only watch: nothing in it is owed to me or by me; its messages come to Intake. */
    WATCHED,
    /** It is not for me: its messages pass by Intake too. */
    NOT_MINE
}
