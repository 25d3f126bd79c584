/**
 * Reminders of follow-ups and meetings, the day's plan by mail, and stretches in which nothing new is told.
 */
@NullMarked
package org.squallnote.server.reminder;

import org.jspecify.annotations.NullMarked;
