package org.squallnote.core.invitation;

import java.util.UUID;

/**
 * A scheduling message as it was received, or sent.
 *
 * @param sender the address of whoever sent the mail, lower case
 */
public record Said(UUID messageId, String sender, Scheduling what) {}
