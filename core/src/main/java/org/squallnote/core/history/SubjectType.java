package org.squallnote.core.history;

/** The kinds of rows whose changes are kept. */
public enum SubjectType {
    MESSAGE,
    FOLLOW_UP,
    THREAD,
    CATEGORY,
    SOURCE,
    ACCOUNT,
    ANSWER(2, false),
    /** Whose rule it is stands in its state only. */
    PARTY_RULE(1, true),
    HAND_OVER,
    PHRASE,
    RECIPE,
    WORKING_TIME,
    PREFERENCES,
    CALENDAR,
    PLAN,
    STINT,
    TIME_WISHES,
    ROUND_LINE,
    SERIES,
    INVITATION,
    REMINDER,
    REMINDER_WISHES,
    BLOCK_CALENDAR,
    TASK_LIST,
    CHASE_WISHES,
    /** What was said of later messages stands in its state only. */
    ANSWER_WORD(1, true),
    KEPT_SEARCH,
    PERSON_ADDRESS,
    PERSON_NOTE,
    PERSON_CARD,
    RECORD_NOTE,
    HAND_ORDER,
    ARRANGEMENT,
    FOLLOW_UP_FILE,
    FOLLOW_UP_WEB_LINK,
    FOLLOW_UP_RELATION,
    THREAD_SHAPE(1, true),
    OFFICE_WORD(1, true);

    private final int version;
    private final boolean whole;

    SubjectType() {
        this(1, false);
    }

    SubjectType(int version, boolean whole) {
        this.version = version;
        this.whole = whole;
    }

    /** Whether its states are kept whole, and not only what a change changed. */
    public boolean keptWhole() {
        return whole;
    }

    /** The form in which states of this kind are written now; a new one needs whoever restores them to read the old. */
    public int version() {
        return version;
    }
}
