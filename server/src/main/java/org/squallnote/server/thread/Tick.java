package org.squallnote.server.thread;

import java.time.Instant;
import java.util.UUID;
import org.squallnote.core.message.Direction;

/** A tick of the trace. */
record Tick(UUID messageId, Instant sentAt, Direction direction, boolean automatic) {}
