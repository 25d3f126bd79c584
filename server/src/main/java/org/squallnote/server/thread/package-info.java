/** Threads and decisions about them by hand. */
@NullMarked
package org.squallnote.server.thread;

import org.jspecify.annotations.NullMarked;
