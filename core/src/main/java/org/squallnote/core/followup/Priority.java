package org.squallnote.core.followup;

/** How much a follow-up matters beside others, the weightiest first. */
public enum Priority {
    HIGH,
    NORMAL,
    LOW
}
