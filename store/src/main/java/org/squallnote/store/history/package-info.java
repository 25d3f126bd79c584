/** Commands, what they changed, and what undo needs. */
@NullMarked
package org.squallnote.store.history;

import org.jspecify.annotations.NullMarked;
