package org.squallnote.core.turn;

/** Whose turn it is, as displayed. */
public enum Turn {
    WITH_ME,
    WITH_OTHERS,
    CLOSED,
    /** Nobody owes anything: only automatic messages so far, or a decision by hand that no reply is owed. */
    NOBODY
}
