/** Categories. */
@NullMarked
package org.squallnote.store.category;

import org.jspecify.annotations.NullMarked;
