package org.squallnote.server.chase;

import java.util.UUID;

/** A follow-up was made, changed or taken back, which may give its threads another category. */
public record FollowUpChanged(UUID owner, UUID followUpId) {}
