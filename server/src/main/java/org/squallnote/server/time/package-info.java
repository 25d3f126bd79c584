/** The clock and identifiers. */
@NullMarked
package org.squallnote.server.time;

import org.jspecify.annotations.NullMarked;
