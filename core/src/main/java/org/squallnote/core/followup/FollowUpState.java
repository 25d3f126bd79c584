package org.squallnote.core.followup;

/** Where a follow-up stands. Done and dropped ones are kept. */
public enum FollowUpState {
    OPEN,
    DONE,
    DROPPED
}
