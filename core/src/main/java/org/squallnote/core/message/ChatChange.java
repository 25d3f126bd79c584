package org.squallnote.core.message;

import java.time.Instant;

/**
 * A later change to a chat event.
 *
 * @param removal whether the event was taken back; else it got a new text
 */
public record ChatChange(String eventId, String target, String sender, boolean removal, String body, Instant sentAt) {}
