/** Mailboxes that several accounts of an installation read: whose turn is the office's. */
@NullMarked
package org.squallnote.server.office;

import org.jspecify.annotations.NullMarked;
