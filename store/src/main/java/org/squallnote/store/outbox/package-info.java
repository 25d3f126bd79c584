/** What is still to be done on a mail or chat server. */
@NullMarked
package org.squallnote.store.outbox;

import org.jspecify.annotations.NullMarked;
