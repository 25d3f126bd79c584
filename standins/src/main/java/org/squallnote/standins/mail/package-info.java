/** A mail server (IMAP and SMTP) with invented people. */
@NullMarked
package org.squallnote.standins.mail;

import org.jspecify.annotations.NullMarked;
