/**
 * Mail accounts: reading by IMAP4rev1 (RFC 3501) with IDLE, MOVE, UIDPLUS, CONDSTORE and SPECIAL-USE where the
 * server has them, sending by SMTP.
 */
@NullMarked
package org.squallnote.sources.mail;

import org.jspecify.annotations.NullMarked;
