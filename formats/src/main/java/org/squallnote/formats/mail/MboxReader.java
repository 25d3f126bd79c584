package org.squallnote.formats.mail;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/**
 * Reads the messages of an mbox file (RFC 4155), one at a time, however large the file is.
 *
 * <p>A message starts at a line {@code From …} that stands at the beginning of the file or after an empty line.
 * Quoted {@code >From} lines lose one {@code >}, as both common dialects write them.
 */
public final class MboxReader {

    private static final byte[] FROM = "From ".getBytes(StandardCharsets.US_ASCII);
    private static final Pattern QUOTED_FROM = Pattern.compile("^>+From .*", Pattern.DOTALL);
    /** Of a line, this much is looked at; a longer one passes through in pieces. */
    private static final int LONGEST_LINE = 64 * 1024;

    private MboxReader() {}

    /** Whether the first bytes look like an mbox file and not like a single message. */
    public static boolean isMbox(byte[] start) {
        return startsWith(start, start.length, FROM);
    }

    /**
     * Hands over each message's bytes.
     *
     * @param mbox read to its end, not closed
     * @return how many messages were handed over
     * @throws IOException when reading fails; the messages before that were handed over
     */
    public static long forEach(InputStream mbox, Consumer<byte[]> message) throws IOException {
        InputStream in = mbox instanceof BufferedInputStream ? mbox : new BufferedInputStream(mbox, 1 << 16);
        ByteArrayOutputStream current = new ByteArrayOutputStream(16 * 1024);
        byte[] line = new byte[LONGEST_LINE];
        boolean inMessage = false;
        boolean afterEmptyLine = true;
        boolean atLineStart = true;
        long count = 0;
        int length;
        while ((length = readLine(in, line)) > 0) {
            boolean separator = atLineStart && afterEmptyLine && startsWith(line, length, FROM);
            if (separator) {
                if (inMessage) {
                    message.accept(current.toByteArray());
                    count++;
                }
                current.reset();
                inMessage = true;
            } else if (inMessage) {
                append(current, line, length, atLineStart);
            }
            afterEmptyLine = atLineStart && isEmpty(line, length);
            atLineStart = line[length - 1] == '\n';
        }
        if (inMessage) {
            message.accept(current.toByteArray());
            count++;
        }
        return count;
    }

    private static void append(ByteArrayOutputStream current, byte[] line, int length, boolean atLineStart) {
        if (current.size() + length > MailLimits.LARGEST_MESSAGE) {
            return;
        }
        boolean quoted = atLineStart
                && line[0] == '>'
                && QUOTED_FROM
                        .matcher(new String(line, 0, Math.min(length, 80), StandardCharsets.ISO_8859_1))
                        .matches();
        current.write(line, quoted ? 1 : 0, quoted ? length - 1 : length);
    }

    private static int readLine(InputStream in, byte[] line) throws IOException {
        int length = 0;
        while (length < line.length) {
            int b = in.read();
            if (b < 0) {
                break;
            }
            line[length++] = (byte) b;
            if (b == '\n') {
                break;
            }
        }
        return length;
    }

    private static boolean isEmpty(byte[] line, int length) {
        return (length == 1 && line[0] == '\n') || (length == 2 && line[0] == '\r' && line[1] == '\n');
    }

    private static boolean startsWith(byte[] bytes, int length, byte[] prefix) {
        if (length < prefix.length) {
            return false;
        }
        for (int i = 0; i < prefix.length; i++) {
            if (bytes[i] != prefix[i]) {
                return false;
            }
        }
        return true;
    }
}
