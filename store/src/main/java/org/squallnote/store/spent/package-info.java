/** The time that was spent. */
@NullMarked
package org.squallnote.store.spent;

import org.jspecify.annotations.NullMarked;
