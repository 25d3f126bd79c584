package org.squallnote.core.office;

import java.time.Instant;
import java.util.UUID;

/**
 * That somebody else of the office sees to a message of mine, or has answered it.
 *
 * @param messageId my copy of it
 * @param fromAddress who wrote it
 * @param answered whether it was answered; else it was taken
 */
public record SettledByOffice(UUID messageId, String fromAddress, boolean answered, Instant at) {}
