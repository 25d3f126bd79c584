package org.squallnote.core.source;

/** How a source stands. */
public enum SourceStatus {
    CONNECTING,
    READING,
    LIVE,
    TROUBLE,
    IDLE
}
