package org.squallnote.core.message;

import java.util.UUID;

/** Where a message stands in a mail account. */
public record Place(UUID sourceId, String folder, long uidValidity, long uid, UUID messageId) {}
