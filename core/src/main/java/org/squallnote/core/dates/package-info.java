/**
 * Dates and times as people write them, resolved against the moment of writing.
 *
 * <p>{@link org.squallnote.core.dates.DateScanner} finds every date phrase of a sentence; what the date is for (a
 * deadline, a promise, an event) is not decided here. Weeks start on Monday (ISO 8601).
 */
@NullMarked
package org.squallnote.core.dates;

import org.jspecify.annotations.NullMarked;
