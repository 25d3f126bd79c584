package org.squallnote.core.thread;

import java.util.UUID;

/**
 * A thread in its group.
 *
 * @param key names the group: an address, a category's id, or empty for those without
 * @param title the group as people name it
 * @param size how many threads it has
 */
public record GroupedThread(UUID threadId, String key, String title, int size) {}
