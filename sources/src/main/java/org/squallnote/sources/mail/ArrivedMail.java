package org.squallnote.sources.mail;

import java.time.Instant;
import org.squallnote.core.message.RawMail;
import org.squallnote.formats.mail.ParsedMail;

/**
 * A mail as it was found.
 *
 * @param uid its UID in the folder, zero when it came from a file
 * @param receivedAt the server's internal date
 * @param raw its bytes
 */
public record ArrivedMail(long uid, Instant receivedAt, RawMail raw, ParsedMail mail) {}
