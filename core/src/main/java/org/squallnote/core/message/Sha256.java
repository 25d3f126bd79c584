package org.squallnote.core.message;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 (FIPS 180-4), in lower-case hexadecimal. */
public final class Sha256 {

    private Sha256() {}

    /** Of some bytes. */
    public static String of(byte[] bytes) {
        MessageDigest digest = digest();
        digest.update(bytes);
        return hex(digest);
    }

    /** A digest to be fed piece by piece, ended by {@link #hex}. */
    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("This Java installation has no SHA-256", e);
        }
    }

    /** Ends a digest. */
    public static String hex(MessageDigest digest) {
        return HexFormat.of().formatHex(digest.digest());
    }
}
