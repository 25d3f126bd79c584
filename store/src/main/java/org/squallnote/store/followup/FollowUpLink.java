package org.squallnote.store.followup;

import java.time.Instant;
import java.util.UUID;

/**
 * A message that a follow-up came from.
 *
 * @param snapshot the message as it stood when it was linked, as JSON
 */
public record FollowUpLink(UUID followUpId, UUID messageId, Instant linkedAt, String snapshot) {}
