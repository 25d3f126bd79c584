/** What was said of messages in mailboxes that several accounts read. */
@NullMarked
package org.squallnote.store.office;

import org.jspecify.annotations.NullMarked;
