package org.squallnote.core.draft;

import java.time.Instant;
import java.util.UUID;

/**
 * An answer that is being written.
 *
 * @param toAll whether everybody is to get it who got the message
 * @param copies who else is to get it, as far as that is typed
 * @param hidden who else is to get it unseen, likewise
 */
public record Draft(
        UUID owner, UUID messageId, String text, boolean toAll, String copies, String hidden, Instant savedAt) {}
