/** The weekly walk through everything that is open. */
@NullMarked
package org.squallnote.core.round;

import org.jspecify.annotations.NullMarked;
