/**
 * The follow-up: the task that a message became.
 */
@NullMarked
package org.squallnote.core.followup;

import org.jspecify.annotations.NullMarked;
