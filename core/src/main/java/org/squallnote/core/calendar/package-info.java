/** Calendars and what is on in them. */
@NullMarked
package org.squallnote.core.calendar;

import org.jspecify.annotations.NullMarked;
