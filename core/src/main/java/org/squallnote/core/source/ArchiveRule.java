package org.squallnote.core.source;

/**
 * When a decided message is moved to the archive folder of its mail account; in a chat, when my marker of what is read
 * moves on.
 */
public enum ArchiveRule {
    AT_ONCE,
    WHEN_ENDED,
    NEVER
}
