/** Calendars in iCalendar (RFC 5545): read whatever wrote them, with each event by itself, and worked out into times. */
@NullMarked
package org.squallnote.formats.calendar;

import org.jspecify.annotations.NullMarked;
