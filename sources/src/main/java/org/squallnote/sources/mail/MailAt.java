package org.squallnote.sources.mail;

import java.util.Optional;
import java.util.function.Supplier;
import org.squallnote.core.message.RawMail;

/**
 * A mail on a server: where it was last seen, and how to know it again.
 *
 * @param uidValidity zero when no UID is known
 * @param uid zero when none is known
 * @param messageId empty when the mail has none
 * @param raw its bytes, asked for only where they have to prove which of several it is
 */
public record MailAt(
        String folder, long uidValidity, long uid, Optional<String> messageId, Supplier<Optional<RawMail>> raw) {

    /** Whether bytes with this SHA-256 are its own. Without any to compare nothing is proved. */
    boolean isProvedBy(String sha256) {
        return raw.get().filter(own -> own.sha256().equals(sha256)).isPresent();
    }
}
