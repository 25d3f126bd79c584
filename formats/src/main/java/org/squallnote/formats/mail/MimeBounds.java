package org.squallnote.formats.mail;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * Cuts a message, before anything parses it, where it has more parts or more declared boundaries than any mailer writes.
 * A parser looks at each level of nesting again, so that a small message of many levels would cost minutes. One pass,
 * linear in the size; the stored message stays whole.
 */
final class MimeBounds {

    private static final byte[] DECLARATION = "boundary=".getBytes(StandardCharsets.US_ASCII);

    /** The longest boundary (RFC 2046 section 5.1.1). */
    private static final int LONGEST_BOUNDARY = 70;

    private final byte[] raw;
    private final List<byte[]> boundaries = new ArrayList<>();
    private int declared;
    private int delimiters;

    private MimeBounds(byte[] raw) {
        this.raw = raw;
    }

    /** The message, or its beginning up to where it has too many parts, with a notice. */
    static byte[] bounded(byte[] raw, List<String> notices) {
        int end = new MimeBounds(raw).end();
        if (end == raw.length) {
            return raw;
        }
        notices.add("This message has more than " + MailLimits.MOST_PARTS
                + " parts or too many levels; what lies behind them is not read. The message is kept as it came.");
        return Arrays.copyOf(raw, end);
    }

    private int end() {
        int line = 0;
        while (line < raw.length) {
            int next = line;
            while (next < raw.length && raw[next] != '\n') {
                if (raw[next] == '=') {
                    declare(next);
                }
                next++;
            }
            if (isDelimiter(line, next)) {
                delimiters++;
            }
            if (delimiters > MailLimits.MOST_PARTS || declared > MailLimits.MOST_BOUNDARIES) {
                return line;
            }
            line = next + 1;
        }
        return raw.length;
    }

    /** Notes the boundary that is declared with this equals sign, if one is. */
    private void declare(int equals) {
        int from = equals - DECLARATION.length + 1;
        // Encoded text is full of equals signs; few of them stand behind a y.
        if (from < 0 || (raw[equals - 1] | 0x20) != 'y' || !isDeclaration(from)) {
            return;
        }
        declared++;
        int start = equals + 1;
        boolean quoted = start < raw.length && raw[start] == '"';
        if (quoted) {
            start++;
        }
        int end = start;
        while (end < raw.length && end - start < LONGEST_BOUNDARY && !endsBoundary(raw[end], quoted)) {
            end++;
        }
        byte[] boundary = Arrays.copyOfRange(raw, start, end);
        if (boundary.length > 0 && boundaries.stream().noneMatch(known -> Arrays.equals(known, boundary))) {
            boundaries.add(boundary);
        }
    }

    private boolean isDeclaration(int from) {
        return new String(raw, from, DECLARATION.length, StandardCharsets.ISO_8859_1)
                .toLowerCase(Locale.ROOT)
                .equals("boundary=");
    }

    private static boolean endsBoundary(byte b, boolean quoted) {
        return quoted ? b == '"' || b == '\n' : b == ';' || b == ' ' || b == '\t' || b == '\r' || b == '\n';
    }

    private boolean isDelimiter(int line, int end) {
        if (end - line < 3 || raw[line] != '-' || raw[line + 1] != '-') {
            return false;
        }
        for (byte[] boundary : boundaries) {
            if (startsWith(line + 2, end, boundary) && !closes(line + 2 + boundary.length, end)) {
                return true;
            }
        }
        return false;
    }

    private boolean closes(int from, int end) {
        return from + 1 < end && raw[from] == '-' && raw[from + 1] == '-';
    }

    private boolean startsWith(int from, int end, byte[] prefix) {
        if (from + prefix.length > end) {
            return false;
        }
        for (int i = 0; i < prefix.length; i++) {
            if (raw[from + i] != prefix[i]) {
                return false;
            }
        }
        return true;
    }
}
