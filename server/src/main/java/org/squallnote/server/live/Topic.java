package org.squallnote.server.live;

/** What can change on a page. */
public enum Topic {
    INTAKE,
    FOLLOW_UPS,
    THREADS,
    CATEGORIES,
    SOURCES,
    OUTBOX,
    READING,
    SETTINGS,
    CALENDARS,
    PLAN,
    REMINDERS,
    /** Searches that are kept, and what they find. */
    SEARCHES,
    PEOPLE,
    /** The weekly walk. */
    ROUND,
    /** What other readers of a mailbox do. */
    OFFICE
}
