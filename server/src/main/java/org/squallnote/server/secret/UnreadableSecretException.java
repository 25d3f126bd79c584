package org.squallnote.server.secret;

/** Something stored cannot be decrypted with the key file there is. */
public final class UnreadableSecretException extends IllegalStateException {

    UnreadableSecretException(Throwable cause) {
        super(
                "The stored password cannot be read with the key file. If the key file was replaced, or the account came from"
                        + " another installation, enter the password again.",
                cause);
    }
}
