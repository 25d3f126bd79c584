/** JSON Lines: messages and conversations one object a line, and what was found in them. */
@NullMarked
package org.squallnote.formats.lines;

import org.jspecify.annotations.NullMarked;
