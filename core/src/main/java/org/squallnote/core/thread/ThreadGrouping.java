package org.squallnote.core.thread;

/** What stands together in a list of threads. */
public enum ThreadGrouping {
    /** Each thread once, in the order of the list. */
    THREAD,
    /** Each person with what is open between us; a thread stands with each of those whom it concerns. */
    PERSON,
    /** By the category of the follow-up that was made from it last. */
    CATEGORY,
    /** By how long it has been so. */
    AGE
}
