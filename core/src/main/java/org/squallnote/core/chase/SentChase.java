package org.squallnote.core.chase;

import java.time.Instant;
import java.util.UUID;

/**
 * A reminder that has gone out, of those of one thread.
 *
 * @param party whom it reminded, by address, wherever it went
 * @param messageId the mail, in this thread or in another one that it was written in
 * @param fromAddress by which address of mine
 */
public record SentChase(String party, UUID messageId, String fromAddress, Instant sentAt) {}
