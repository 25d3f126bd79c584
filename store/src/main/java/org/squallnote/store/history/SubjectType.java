package org.squallnote.store.history;

/** The kinds of rows whose changes are kept. */
public enum SubjectType {
    MESSAGE,
    FOLLOW_UP,
    THREAD,
    CATEGORY,
    SOURCE,
    ACCOUNT,
    ANSWER(2),
    PARTY_RULE,
    HAND_OVER,
    PHRASE,
    RECIPE,
    WORKING_TIME,
    PREFERENCES;

    private final int version;

    SubjectType() {
        this(1);
    }

    SubjectType(int version) {
        this.version = version;
    }

    /** The form in which states of this kind are written now; a new one needs whoever restores them to read the old. */
    public int version() {
        return version;
    }
}
