package org.squallnote.core.calendar;

import java.util.UUID;

/**
 * All that a calendar says of one event.
 *
 * @param href where it is in its calendar; of a file its UID
 * @param etag which state of it this is (RFC 9110 section 8.8.3), empty where nobody says
 * @param body iCalendar (RFC 5545)
 */
public record StoredObject(UUID calendarId, String href, String uid, String etag, String body) {}
