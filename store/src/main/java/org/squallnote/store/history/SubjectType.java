package org.squallnote.store.history;

/** The kinds of rows whose changes are kept. */
public enum SubjectType {
    MESSAGE,
    FOLLOW_UP,
    THREAD,
    CATEGORY,
    SOURCE,
    ACCOUNT,
    ANSWER,
    PARTY_RULE,
    HAND_OVER,
    PHRASE,
    RECIPE,
    WORKING_TIME,
    PREFERENCES
}
