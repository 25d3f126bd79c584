package org.squallnote.core.followup;

import java.util.UUID;

/** Where somebody put a follow-up among the others by hand, see {@link HandOrder}. */
public record HandRank(UUID followUpId, long rank) {}
