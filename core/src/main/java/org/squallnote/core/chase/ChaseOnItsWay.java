package org.squallnote.core.chase;

import java.util.UUID;

/**
 * A reminder that was written and goes out, or went.
 *
 * @param party whom it reminds, by address
 * @param sourceId from where it goes out
 * @param identity by which the outbox knows it
 */
public record ChaseOnItsWay(UUID threadId, String party, UUID sourceId, String identity) {}
