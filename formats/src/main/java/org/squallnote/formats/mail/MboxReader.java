package org.squallnote.formats.mail;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.message.MailSpool;

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

    /** The separator line is an address and a date. */
    private static final int LONGEST_SEPARATOR = 500;

    private static final Pattern SEPARATOR_DATE =
            Pattern.compile("(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun) ([A-Z][a-z]{2}) {1,2}(\\d{1,2}) (\\d{2}:\\d{2}:\\d{2})"
                    + "(?: [A-Z+-][A-Z0-9]{2,4})? (\\d{4})");
    private static final DateTimeFormatter ASCTIME = DateTimeFormatter.ofPattern("MMM d yyyy HH:mm:ss", Locale.ENGLISH);

    private MboxReader() {}

    /** Whether the first bytes look like an mbox file and not like a single message. */
    public static boolean isMbox(byte[] start) {
        return startsWith(start, start.length, FROM);
    }

    /**
     * Hands over each message.
     *
     * @param mbox read to its end, not closed
     * @param spool takes messages that are too large for memory
     * @return how many messages were handed over
     * @throws IOException when reading fails; the messages before that were handed over
     */
    public static long forEach(InputStream mbox, MailSpool spool, Consumer<MboxMessage> message) throws IOException {
        try (RawMailWriter current = new RawMailWriter(spool)) {
            return forEach(mbox, current, message);
        }
    }

    private static long forEach(InputStream mbox, RawMailWriter current, Consumer<MboxMessage> message)
            throws IOException {
        InputStream in = mbox instanceof BufferedInputStream ? mbox : new BufferedInputStream(mbox, 1 << 16);
        byte[] line = new byte[LONGEST_LINE];
        Optional<Instant> deliveredAt = Optional.empty();
        boolean inMessage = false;
        boolean afterEmptyLine = true;
        boolean atLineStart = true;
        long count = 0;
        int length;
        while ((length = readLine(in, line)) > 0) {
            boolean separator = atLineStart && afterEmptyLine && startsWith(line, length, FROM);
            if (separator) {
                if (inMessage) {
                    boolean cut = current.cut();
                    message.accept(new MboxMessage(current.take(), cut, deliveredAt));
                    count++;
                }
                deliveredAt =
                        dateIn(new String(line, 0, Math.min(length, LONGEST_SEPARATOR), StandardCharsets.US_ASCII));
                inMessage = true;
            } else if (inMessage) {
                boolean quoted = atLineStart && isQuoted(line, length);
                current.add(line, quoted ? 1 : 0, quoted ? length - 1 : length);
            }
            afterEmptyLine = atLineStart && isEmpty(line, length);
            atLineStart = line[length - 1] == '\n';
        }
        if (inMessage) {
            boolean cut = current.cut();
            message.accept(new MboxMessage(current.take(), cut, deliveredAt));
            count++;
        }
        return count;
    }

    private static boolean isQuoted(byte[] line, int length) {
        return line[0] == '>'
                && QUOTED_FROM
                        .matcher(new String(line, 0, Math.min(length, 80), StandardCharsets.ISO_8859_1))
                        .matches();
    }

    /** The date as {@code asctime} writes it, in UTC; some programs add a zone before or behind the year. */
    private static Optional<Instant> dateIn(String separator) {
        Matcher date = SEPARATOR_DATE.matcher(separator);
        if (!date.find()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDateTime.parse(
                            date.group(1) + " " + date.group(2) + " " + date.group(4) + " " + date.group(3), ASCTIME)
                    .toInstant(ZoneOffset.UTC));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
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
