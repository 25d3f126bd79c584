/**
 * What was said of meetings, and what was answered.
 */
@NullMarked
package org.squallnote.store.invitation;

import org.jspecify.annotations.NullMarked;
