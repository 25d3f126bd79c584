/** Threads and whose turn it is in them. */
@NullMarked
package org.squallnote.store.thread;

import org.jspecify.annotations.NullMarked;
