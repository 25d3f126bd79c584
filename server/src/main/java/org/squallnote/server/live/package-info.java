/** Tells open pages what has changed. */
@NullMarked
package org.squallnote.server.live;

import org.jspecify.annotations.NullMarked;
