/** Reminding: the round of those who are due, and their letters. */
@NullMarked
package org.squallnote.server.chasing;

import org.jspecify.annotations.NullMarked;
