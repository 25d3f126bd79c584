/** What the index of everything has still to take in, and searches kept under a name. */
@NullMarked
package org.squallnote.store.search;

import org.jspecify.annotations.NullMarked;
