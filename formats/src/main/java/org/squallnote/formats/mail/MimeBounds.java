package org.squallnote.formats.mail;

import java.io.EOFException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.squallnote.core.message.RawMail;

/**
 * Cuts a message, before anything parses it, where it has more parts or more declared boundaries than any mailer writes.
 * A parser looks at each level of nesting again, so that a small message of many levels would cost minutes. One pass,
 * linear in the size; the stored message stays whole.
 */
final class MimeBounds {

    private static final byte[] DECLARATION = "boundary=".getBytes(StandardCharsets.US_ASCII);

    /** The longest boundary (RFC 2046 section 5.1.1). */
    private static final int LONGEST_BOUNDARY = 70;

    private static final int WINDOW = 64 * 1024;

    private final RawMail.Opened mail;
    private final int size;
    private final byte[] window;
    private int windowAt;
    private int windowFilled;
    private final List<byte[]> boundaries = new ArrayList<>();
    private int declared;
    private int delimiters;

    private MimeBounds(RawMail raw, RawMail.Opened mail) {
        this.mail = mail;
        this.size = (int) raw.size();
        this.window = raw.inMemory().orElseGet(() -> new byte[WINDOW]);
        this.windowFilled = raw.inMemory().isPresent() ? size : 0;
    }

    /** Where the message ends that may be parsed: at its end, or with a notice where it has too many parts. */
    static long end(RawMail raw, RawMail.Opened mail, List<String> notices) throws IOException {
        int end = new MimeBounds(raw, mail).end();
        if (end < raw.size()) {
            notices.add("This message has more than " + MailLimits.MOST_PARTS
                    + " parts or too many levels; what lies behind them is not read. The message is kept as it came.");
        }
        return end;
    }

    /** The byte at a place. A window moves along; what is looked at again lies less than a boundary behind. */
    private byte at(int place) throws IOException {
        if (place < windowAt || place >= windowAt + windowFilled) {
            windowAt = Math.max(0, place - 2 * LONGEST_BOUNDARY);
            windowFilled = 0;
            int wanted = Math.min(WINDOW, size - windowAt);
            while (windowFilled < wanted) {
                int some = mail.read(windowAt + windowFilled, window, windowFilled, wanted - windowFilled);
                if (some < 0) {
                    throw new EOFException("The mail ends before its end");
                }
                windowFilled += some;
            }
        }
        return window[place - windowAt];
    }

    private int end() throws IOException {
        int line = 0;
        while (line < size) {
            int next = line;
            while (next < size && at(next) != '\n') {
                if (at(next) == '=') {
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
        return size;
    }

    /** Notes the boundary that is declared with this equals sign, if one is. */
    private void declare(int equals) throws IOException {
        int from = equals - DECLARATION.length + 1;
        // Encoded text is full of equals signs; few of them stand behind a y.
        if (from < 0 || (at(equals - 1) | 0x20) != 'y' || !isDeclaration(from)) {
            return;
        }
        declared++;
        int start = equals + 1;
        boolean quoted = start < size && at(start) == '"';
        if (quoted) {
            start++;
        }
        int end = start;
        while (end < size && end - start < LONGEST_BOUNDARY && !endsBoundary(at(end), quoted)) {
            end++;
        }
        byte[] boundary = new byte[end - start];
        for (int i = 0; i < boundary.length; i++) {
            boundary[i] = at(start + i);
        }
        if (boundary.length > 0 && boundaries.stream().noneMatch(known -> Arrays.equals(known, boundary))) {
            boundaries.add(boundary);
        }
    }

    private boolean isDeclaration(int from) throws IOException {
        for (int i = 0; i < DECLARATION.length - 1; i++) {
            if ((at(from + i) | 0x20) != DECLARATION[i]) {
                return false;
            }
        }
        return true;
    }

    private static boolean endsBoundary(byte b, boolean quoted) {
        return quoted ? b == '"' || b == '\n' : b == ';' || b == ' ' || b == '\t' || b == '\r' || b == '\n';
    }

    private boolean isDelimiter(int line, int end) throws IOException {
        if (end - line < 3 || at(line) != '-' || at(line + 1) != '-') {
            return false;
        }
        for (byte[] boundary : boundaries) {
            if (startsWith(line + 2, end, boundary) && !closes(line + 2 + boundary.length, end)) {
                return true;
            }
        }
        return false;
    }

    private boolean closes(int from, int end) throws IOException {
        return from + 1 < end && at(from) == '-' && at(from + 1) == '-';
    }

    private boolean startsWith(int from, int end, byte[] prefix) throws IOException {
        if (from + prefix.length > end) {
            return false;
        }
        for (int i = 0; i < prefix.length; i++) {
            if (at(from + i) != prefix[i]) {
                return false;
            }
        }
        return true;
    }
}
