/**
 * Reminders, and what was told of meetings.
 */
@NullMarked
package org.squallnote.store.reminder;

import org.jspecify.annotations.NullMarked;
