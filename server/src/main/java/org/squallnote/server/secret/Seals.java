package org.squallnote.server.secret;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Base64;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Seals what is given out and comes back, a cookie say, so that nobody else can have made it. */
@Component
public class Seals {

    private final KeyFile key;

    Seals(KeyFile key) {
        this.key = key;
    }

    /** The text with its seal, in letters that a cookie may hold. */
    public String sealed(String purpose, String text) {
        return encoded(text.getBytes(StandardCharsets.UTF_8)) + "." + encoded(mac(purpose, text));
    }

    /** The text that was sealed for the purpose; empty when the seal is not ours. */
    public String opened(String purpose, String sealed) {
        int dot = sealed.indexOf('.');
        if (dot < 0) {
            return "";
        }
        try {
            String text = new String(Base64.getUrlDecoder().decode(sealed.substring(0, dot)), StandardCharsets.UTF_8);
            byte[] seal = Base64.getUrlDecoder().decode(sealed.substring(dot + 1));
            return MessageDigest.isEqual(seal, mac(purpose, text)) ? text : "";
        } catch (IllegalArgumentException e) {
            return "";
        }
    }

    /** Encrypts something that is stored for an account. */
    public byte[] encrypted(UUID owner, byte[] plain) {
        return key.encrypt(owner, plain);
    }

    /** Decrypts it. */
    public byte[] decrypted(UUID owner, byte[] stored) {
        return key.decrypt(owner, stored);
    }

    private byte[] mac(String purpose, String text) {
        return key.mac(purpose, text.getBytes(StandardCharsets.UTF_8));
    }

    private static String encoded(byte[] bytes) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }
}
