/** Calendars on servers: subscribed by their address, or in an account by CalDAV (RFC 4791). */
@NullMarked
package org.squallnote.sources.calendar;

import org.jspecify.annotations.NullMarked;
