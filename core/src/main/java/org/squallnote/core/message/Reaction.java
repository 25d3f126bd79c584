package org.squallnote.core.message;

import java.time.Instant;

/** A reaction to a chat message. */
public record Reaction(String eventId, String target, String sender, String content, Instant sentAt) {}
