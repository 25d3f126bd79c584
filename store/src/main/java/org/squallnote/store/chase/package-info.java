/**
 * How long people take to answer, and reminders on their way out.
 */
@NullMarked
package org.squallnote.store.chase;

import org.jspecify.annotations.NullMarked;
