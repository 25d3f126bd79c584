package org.squallnote.server.secret;

import static org.apache.commons.codec.digest.HmacAlgorithms.HMAC_SHA_256;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Base64;
import java.util.UUID;
import javax.crypto.Cipher;
import javax.crypto.SecretKey;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.digest.HmacUtils;
import org.springframework.stereotype.Component;
import org.squallnote.server.DataFolder;

/**
 * Encrypts passwords and tokens with a key that lies in a file of its own, outside of the database: AES-256 in GCM, a
 * fresh nonce each time, bound to the source they belong to.
 */
@Component
class KeyFile {

    private static final String NAME = "key";
    private static final int NONCE_BYTES = 12;
    private static final int TAG_BITS = 128;

    private final SecretKey key;
    private final SecureRandom random = new SecureRandom();

    KeyFile(DataFolder data) throws IOException {
        Path file = data.file(NAME);
        if (!Files.exists(file)) {
            byte[] fresh = new byte[32];
            random.nextBytes(fresh);
            data.writePrivately(NAME, Base64.getEncoder().encodeToString(fresh) + "\n");
        }
        key = new SecretKeySpec(
                Base64.getDecoder().decode(Files.readString(file).strip()), "AES");
    }

    byte[] encrypt(UUID sourceId, byte[] plain) {
        byte[] nonce = new byte[NONCE_BYTES];
        random.nextBytes(nonce);
        byte[] sealed = run(Cipher.ENCRYPT_MODE, sourceId, nonce, plain);
        byte[] stored = Arrays.copyOf(nonce, nonce.length + sealed.length);
        System.arraycopy(sealed, 0, stored, nonce.length, sealed.length);
        return stored;
    }

    byte[] decrypt(UUID sourceId, byte[] stored) {
        // Of an account that came from elsewhere no secret came along.
        if (stored.length < NONCE_BYTES) {
            throw new UnreadableSecretException(new GeneralSecurityException("There is no secret"));
        }
        byte[] nonce = Arrays.copyOf(stored, NONCE_BYTES);
        return run(Cipher.DECRYPT_MODE, sourceId, nonce, Arrays.copyOfRange(stored, NONCE_BYTES, stored.length));
    }

    /** A keyed digest, by a key of its own for each purpose: what carries it was made here. */
    byte[] mac(String purpose, byte[] data) {
        byte[] ofPurpose = new HmacUtils(HMAC_SHA_256, key.getEncoded()).hmac(purpose);
        return new HmacUtils(HMAC_SHA_256, ofPurpose).hmac(data);
    }

    private byte[] run(int mode, UUID sourceId, byte[] nonce, byte[] input) {
        try {
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(mode, key, new GCMParameterSpec(TAG_BITS, nonce));
            cipher.updateAAD(sourceId.toString().getBytes(StandardCharsets.US_ASCII));
            return cipher.doFinal(input);
        } catch (GeneralSecurityException e) {
            throw new UnreadableSecretException(e);
        }
    }
}
