/** What scripts may do. */
@NullMarked
package org.squallnote.store.access;

import org.jspecify.annotations.NullMarked;
