package org.squallnote.store.content;

import com.google.crypto.tink.subtle.AesGcmHkdfStreaming;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * A file in AES-256-GCM, segment by segment, so that it can be read from any place; its name says nothing of what it
 * holds to somebody who has not the key.
 */
final class EncryptedForm implements FileForm {

    private static final int SEGMENT = 64 * 1024;
    private static final byte[] NOTHING_MORE = {};

    private final byte[] naming;
    private final AesGcmHkdfStreaming cipher;

    /** With keys of its own, made from that of the database. */
    EncryptedForm(String key) {
        try {
            byte[] start = key.getBytes(StandardCharsets.UTF_8);
            this.naming = mac(start, "content names");
            this.cipher = new AesGcmHkdfStreaming(mac(start, "content"), "HmacSha256", 32, SEGMENT, 0);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("This Java installation cannot encrypt with AES-GCM", e);
        }
    }

    private static byte[] mac(byte[] key, String text) throws GeneralSecurityException {
        Mac mac = Mac.getInstance("HmacSHA256");
        mac.init(new SecretKeySpec(key, "HmacSHA256"));
        return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
    }

    @Override
    public String suffix() {
        return ".encrypted";
    }

    @Override
    public String name(String sha256) {
        try {
            return HexFormat.of().formatHex(mac(naming, sha256));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("This Java installation has no HMAC", e);
        }
    }

    @Override
    public OutputStream writing(OutputStream file) throws IOException {
        try {
            return cipher.newEncryptingStream(file, NOTHING_MORE);
        } catch (GeneralSecurityException e) {
            throw new IOException("A file could not be encrypted", e);
        }
    }

    @Override
    public SeekableByteChannel reading(SeekableByteChannel file) throws IOException {
        try {
            return cipher.newSeekableDecryptingChannel(file, NOTHING_MORE);
        } catch (GeneralSecurityException e) {
            throw new IOException("A file could not be decrypted", e);
        }
    }
}
