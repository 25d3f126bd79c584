package org.squallnote.core.followup;

import java.time.Instant;
import java.util.UUID;

/**
 * A message that a follow-up came from.
 *
 * @param sentence the sentence of the message that it is about, empty where it is about the whole
 * @param snapshot the message as it stood when it was linked, as JSON
 */
public record FollowUpLink(UUID followUpId, UUID messageId, Instant linkedAt, String sentence, String snapshot) {}
