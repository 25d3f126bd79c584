/** Does on servers what was decided here. */
@NullMarked
package org.squallnote.server.outbox;

import org.jspecify.annotations.NullMarked;
