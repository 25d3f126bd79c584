/** A small calendar server (RFC 4791, RFC 6578) with invented people's calendars. */
@NullMarked
package org.squallnote.standins.calendar;

import org.jspecify.annotations.NullMarked;
