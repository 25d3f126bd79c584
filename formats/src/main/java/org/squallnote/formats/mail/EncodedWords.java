package org.squallnote.formats.mail;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The text of a header field (RFC 2047), as tolerant as mailers are careless: adjacent words of one charset are joined
 * before they are decoded, since some cut a character in two; a word in an unknown charset, and bytes that were never
 * encoded, are decoded as a body without a charset is.
 */
final class EncodedWords {

    private static final Pattern WORD =
            Pattern.compile("=\\?([^?\\s]{1,80})\\?([bBqQ])\\?([^?\\r\\n]*)\\?=(?:[ \\t\\r\\n]+(?==\\?))?");

    private EncodedWords() {}

    /**
     * Decodes a value.
     *
     * @param value as it stands in the header, one character a byte or, where the header is UTF-8, decoded already
     */
    static String decode(String value) {
        String unfolded = value.replaceAll("\\r?\\n(?=[ \\t])", "");
        StringBuilder text = new StringBuilder(unfolded.length());
        ByteArrayOutputStream pending = new ByteArrayOutputStream();
        String charset = "";
        Matcher word = WORD.matcher(unfolded);
        int at = 0;
        while (word.find()) {
            String its = charsetOf(word.group(1));
            if (word.start() > at || !its.equalsIgnoreCase(charset)) {
                flush(pending, charset, text);
            }
            text.append(plain(unfolded.substring(at, word.start())));
            charset = its;
            pending.writeBytes(bytes(word.group(2), word.group(3)));
            at = word.end();
        }
        flush(pending, charset, text);
        return text.append(plain(unfolded.substring(at))).toString();
    }

    /** Without the language that RFC 2231 section 5 allows behind an asterisk. */
    private static String charsetOf(String declared) {
        int language = declared.indexOf('*');
        return language < 0 ? declared : declared.substring(0, language);
    }

    private static void flush(ByteArrayOutputStream pending, String charset, StringBuilder text) {
        if (pending.size() > 0) {
            text.append(Text.decode(pending.toByteArray(), Optional.of(charset)));
            pending.reset();
        }
    }

    /** What was put into the header as bytes: UTF-8 where it is valid, else Windows-1252. */
    static String plain(String text) {
        boolean bytes = text.chars().anyMatch(c -> c > 0x7f) && text.chars().allMatch(c -> c <= 0xff);
        return bytes ? Text.decode(text.getBytes(StandardCharsets.ISO_8859_1), Optional.empty()) : text;
    }

    private static byte[] bytes(String encoding, String encoded) {
        return encoding.toLowerCase(Locale.ROOT).equals("b") ? base64(encoded) : quotedPrintable(encoded);
    }

    private static byte[] base64(String encoded) {
        String clean = encoded.replaceAll("[^A-Za-z0-9+/]", "");
        // One letter alone at the end holds no byte.
        String whole = clean.length() % 4 == 1 ? clean.substring(0, clean.length() - 1) : clean;
        return Base64.getDecoder().decode(whole);
    }

    private static byte[] quotedPrintable(String encoded) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream(encoded.length());
        for (int i = 0; i < encoded.length(); i++) {
            char c = encoded.charAt(i);
            int high = i + 2 < encoded.length() ? Character.digit(encoded.charAt(i + 1), 16) : -1;
            int low = high >= 0 ? Character.digit(encoded.charAt(i + 2), 16) : -1;
            if (c == '=' && low >= 0) {
                bytes.write(high * 16 + low);
                i += 2;
            } else {
                bytes.write(c == '_' ? ' ' : c);
            }
        }
        return bytes.toByteArray();
    }
}
