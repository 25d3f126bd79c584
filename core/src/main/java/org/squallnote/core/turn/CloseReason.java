package org.squallnote.core.turn;

/** Why a thread was closed by hand. */
public enum CloseReason {
    ANSWERED,
    DONE_ELSEWHERE,
    NOT_NEEDED,
    GIVEN_UP
}
