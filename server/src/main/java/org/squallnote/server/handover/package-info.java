/** Handing a message over to somebody else. */
@NullMarked
package org.squallnote.server.handover;

import org.jspecify.annotations.NullMarked;
