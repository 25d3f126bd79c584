/** Calendars, what they say, and when it takes place. */
@NullMarked
package org.squallnote.store.calendar;

import org.jspecify.annotations.NullMarked;
