package org.squallnote.core.thread;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The follow-ups that were made from a thread.
 *
 * @param open how many of them are open
 * @param categoryId the category of the last one that has one
 */
public record ThreadFollowUps(
        UUID threadId, int open, @Nullable UUID categoryId) {}
