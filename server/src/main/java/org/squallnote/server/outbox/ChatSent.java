package org.squallnote.server.outbox;

import java.util.UUID;

/**
 * A message has gone out into a room.
 *
 * @param identity of its entry in the outbox
 * @param eventId by which it is known in the room
 */
public record ChatSent(UUID owner, String identity, String eventId) {}
