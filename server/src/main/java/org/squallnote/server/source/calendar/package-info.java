/** Calendars as sources: an address to subscribe to, or an account with several. */
@NullMarked
package org.squallnote.server.source.calendar;

import org.jspecify.annotations.NullMarked;
