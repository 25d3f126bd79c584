/** Messages handed over to somebody. */
@NullMarked
package org.squallnote.core.handover;

import org.jspecify.annotations.NullMarked;
