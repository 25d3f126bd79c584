package org.squallnote.core.calendar;

/** What the meetings of a calendar are for. */
public enum CalendarUse {
    /** They take time. */
    BUSY,
    /** They are shown and take none. */
    SHOWN,
    /** They are kept, and neither shown nor counted. */
    HIDDEN
}
