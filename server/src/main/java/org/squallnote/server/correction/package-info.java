/** What the user says against what was read: about one message, or about everything from a sender or list. */
@NullMarked
package org.squallnote.server.correction;

import org.jspecify.annotations.NullMarked;
