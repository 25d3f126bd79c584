/** Changes to stored data that SQL alone cannot make. They only go forward; one that has landed is never changed. */
@NullMarked
package org.squallnote.store.migration;

import org.jspecify.annotations.NullMarked;
