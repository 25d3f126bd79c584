/** What stays as it is in the weekly walk. */
@NullMarked
package org.squallnote.store.round;

import org.jspecify.annotations.NullMarked;
