package org.squallnote.server.secret;

/** Something stored cannot be decrypted with the key file there is. */
public final class UnreadableSecretException extends IllegalStateException {

    UnreadableSecretException(Throwable cause) {
        super(
                "The stored password cannot be read with the key file. If the key file was replaced, enter the password again.",
                cause);
    }
}
