/** The weekly walk through everything that is open. */
@NullMarked
package org.squallnote.server.round;

import org.jspecify.annotations.NullMarked;
