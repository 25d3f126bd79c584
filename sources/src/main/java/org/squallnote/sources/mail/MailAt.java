package org.squallnote.sources.mail;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * A mail on a server: where it was last seen, and how to know it again.
 *
 * @param uidValidity zero when no UID is known
 * @param uid zero when none is known
 * @param messageId empty when the mail has none
 * @param raw its bytes, asked for only where they have to prove which of several it is
 */
public record MailAt(
        String folder, long uidValidity, long uid, Optional<String> messageId, Supplier<Optional<byte[]>> raw) {

    /** Whether these are its bytes. Without any to compare nothing is proved. */
    boolean isProvedBy(byte[] found) {
        return raw.get().filter(own -> Arrays.equals(own, found)).isPresent();
    }
}
