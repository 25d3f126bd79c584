package org.squallnote.store.draft;

import java.time.Instant;
import java.util.UUID;

/** An answer that is being written. */
public record Draft(UUID owner, UUID messageId, String text, Instant savedAt) {}
