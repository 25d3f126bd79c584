/** Mailboxes that several accounts of an installation read. */
@NullMarked
package org.squallnote.core.office;

import org.jspecify.annotations.NullMarked;
