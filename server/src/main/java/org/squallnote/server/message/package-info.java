/** A message with its body, files and proposals. */
@NullMarked
package org.squallnote.server.message;

import org.jspecify.annotations.NullMarked;
