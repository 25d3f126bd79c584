package org.squallnote.core.message;

import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * What makes two copies of a mail one: their bytes alone, never the place where a copy lies, when it was received or
 * what was made of a strange date. The Message-ID with the sender and the raw {@code Date} field, since some mailers use
 * an identifier twice; without a Message-ID the whole of the bytes.
 */
public final class MailIdentity {

    /** A header is longer only where somebody means harm; what lies behind has no part in the identity. */
    public static final int LONGEST_HEADER = 256 * 1024;

    private static final byte[] DATE = "date:".getBytes(StandardCharsets.US_ASCII);

    private MailIdentity() {}

    /**
     * The identity of a mail that has a Message-ID.
     *
     * @param messageId without brackets
     * @param sender the address in {@code From}, lower case; empty when there is none
     * @param rawDate as {@link #rawDate} finds it
     */
    public static String of(String messageId, String sender, String rawDate) {
        String rest = Sha256.of((sender + "\n" + rawDate).getBytes(StandardCharsets.UTF_8));
        return "m:" + messageId + " " + rest.substring(0, 32);
    }

    /**
     * The identity of a mail without a Message-ID.
     *
     * @param sha256 of its bytes, see {@link RawMail#sha256()}
     */
    public static String ofBytes(String sha256) {
        return "h:" + sha256;
    }

    /**
     * The value of the first {@code Date} field as it stands in the header (RFC 5322), with white space and folds as one
     * space each; empty when there is none.
     *
     * @param raw a message, or its beginning
     */
    public static String rawDate(byte[] raw) {
        int end = Math.min(raw.length, LONGEST_HEADER);
        int line = 0;
        while (line < end && raw[line] != '\n' && !(raw[line] == '\r' && line + 1 < end && raw[line + 1] == '\n')) {
            int next = nextLine(raw, line, end);
            if (startsWithDate(raw, line, end)) {
                while (next < end && (raw[next] == ' ' || raw[next] == '\t')) {
                    next = nextLine(raw, next, end);
                }
                return new String(
                                raw,
                                line + DATE.length,
                                Math.max(0, next - line - DATE.length),
                                StandardCharsets.ISO_8859_1)
                        .strip()
                        .replaceAll("\\s+", " ");
            }
            line = next;
        }
        return "";
    }

    private static int nextLine(byte[] raw, int from, int end) {
        int at = from;
        while (at < end && raw[at] != '\n') {
            at++;
        }
        return Math.min(at + 1, end);
    }

    private static boolean startsWithDate(byte[] raw, int from, int end) {
        return from + DATE.length <= end
                && new String(raw, from, DATE.length, StandardCharsets.ISO_8859_1)
                        .toLowerCase(Locale.ROOT)
                        .equals("date:");
    }
}
