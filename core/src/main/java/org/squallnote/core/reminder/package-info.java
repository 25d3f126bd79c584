/**
 * Reminders: when they are due, in which words they are set, and when nobody is to be disturbed.
 */
@NullMarked
package org.squallnote.core.reminder;

import org.jspecify.annotations.NullMarked;
