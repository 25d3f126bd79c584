package org.squallnote.core.source;

/** When a decided message is moved to the archive folder of its mail account. */
public enum ArchiveRule {
    AT_ONCE,
    WHEN_ENDED,
    NEVER
}
