package org.squallnote.core.plan;

import java.util.UUID;

/**
 * A block that stands in a calendar of a server.
 *
 * @param said the event as it was written
 */
public record BlockWritten(UUID followUpId, UUID calendarId, String said) {}
