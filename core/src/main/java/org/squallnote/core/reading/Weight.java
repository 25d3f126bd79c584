package org.squallnote.core.reading;

/** How pressing the writer says it is. */
public enum Weight {
    HIGH,
    NORMAL,
    LOW
}
