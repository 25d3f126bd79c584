/** One decision about several messages at once, undone as one. */
@NullMarked
package org.squallnote.server.several;

import org.jspecify.annotations.NullMarked;
