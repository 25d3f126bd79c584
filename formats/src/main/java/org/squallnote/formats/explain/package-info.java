/** The command {@code explain}: what was found in a message, and why, in words. */
@NullMarked
package org.squallnote.formats.explain;

import org.jspecify.annotations.NullMarked;
