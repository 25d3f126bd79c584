package org.squallnote.core.event;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * Signs what is sent to a webhook, so that its receiver knows who sent it, that nothing was changed, and when: the symmetric
 * scheme of the Standard Webhooks specification, HMAC-SHA256 over {@code id.timestamp.body}.
 */
public final class WebhookSignature {

    /** Before the Base64 of a secret. */
    public static final String SECRET_MARK = "whsec_";

    private static final String ALGORITHM = "HmacSHA256";
    private static final String VERSION = "v1,";

    private WebhookSignature() {}

    /**
     * The value of the header {@code webhook-signature}.
     *
     * @param secret the bytes of the secret
     * @param id of the message
     * @param timestamp in seconds since 1970
     */
    public static String of(byte[] secret, String id, long timestamp, String body) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(secret, ALGORITHM));
            byte[] sum = mac.doFinal((id + "." + timestamp + "." + body).getBytes(StandardCharsets.UTF_8));
            return VERSION + Base64.getEncoder().encodeToString(sum);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("Every Java has " + ALGORITHM, e);
        }
    }

    /** Whether one of the signatures of a header is right. */
    public static boolean isRight(String header, byte[] secret, String id, long timestamp, String body) {
        byte[] right = of(secret, id, timestamp, body).getBytes(StandardCharsets.US_ASCII);
        return Arrays.stream(header.split(" "))
                .anyMatch(each -> MessageDigest.isEqual(right, each.getBytes(StandardCharsets.US_ASCII)));
    }
}
