/** What goes to servers. */
@NullMarked
package org.squallnote.core.outbox;

import org.jspecify.annotations.NullMarked;
