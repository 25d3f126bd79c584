/** What was said by hand of whose turn it is. */
@NullMarked
package org.squallnote.store.turn;

import org.jspecify.annotations.NullMarked;
