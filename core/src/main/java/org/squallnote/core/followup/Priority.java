package org.squallnote.core.followup;

import org.squallnote.core.reading.Weight;

/** How much a follow-up matters beside others, the weightiest first. */
public enum Priority {
    HIGH,
    NORMAL,
    LOW;

    /** What is proposed for a message, by how pressing it says it is. */
    public static Priority of(Weight weight) {
        return switch (weight) {
            case HIGH -> HIGH;
            case NORMAL -> NORMAL;
            case LOW -> LOW;
        };
    }
}
