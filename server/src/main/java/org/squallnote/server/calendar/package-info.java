/** Calendars: what is in them, what it counts for, and how much time it leaves. */
@NullMarked
package org.squallnote.server.calendar;

import org.jspecify.annotations.NullMarked;
