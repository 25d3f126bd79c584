package org.squallnote.core.followup;

import java.util.UUID;

/** The source of a message that a follow-up came from. */
public record FollowUpSource(UUID followUpId, UUID sourceId) {}
