package org.squallnote.server.thread;

import java.time.Instant;
import java.util.UUID;
import org.squallnote.core.message.Direction;

/**
 * A tick of the trace.
 *
 * @param reminder whether it does nothing but remind
 */
record Tick(UUID messageId, Instant sentAt, Direction direction, boolean automatic, boolean reminder) {}
