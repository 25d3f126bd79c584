package org.squallnote.formats.mail;

import java.time.Instant;
import java.util.Optional;
import org.squallnote.core.message.RawMail;

/**
 * A message of an mbox file.
 *
 * @param raw its bytes, as they were before they were put into the file
 * @param cut whether it is larger than {@link MailLimits#LARGEST_MESSAGE} and only its beginning was read
 * @param deliveredAt the date in its separator line, absent when that says none (RFC 4155)
 */
public record MboxMessage(RawMail raw, boolean cut, Optional<Instant> deliveredAt) {}
