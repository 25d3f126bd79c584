/** Signs put on chat messages from here, and taken back. */
@NullMarked
package org.squallnote.server.reaction;

import org.jspecify.annotations.NullMarked;
