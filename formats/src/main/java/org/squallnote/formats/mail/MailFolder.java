package org.squallnote.formats.mail;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A folder of messages, one in each file, as one mbox file (RFC 4155) that is read as it goes: of a Maildir what lies in its
 * {@code cur} and {@code new} and in those of its subfolders, of any other folder its {@code .eml} files.
 */
public final class MailFolder extends InputStream {

    private static final int DEEPEST = 20;
    private static final int MOST_FILES = 2_000_000;
    private static final int LONGEST_PIECE = 64 * 1024;
    private static final byte[] FROM = "From ".getBytes(StandardCharsets.US_ASCII);
    private static final DateTimeFormatter ASCTIME = DateTimeFormatter.ofPattern(
                    "EEE MMM d HH:mm:ss uuuu", Locale.ENGLISH)
            .withZone(ZoneOffset.UTC);

    private final Iterator<Path> files;
    private @Nullable InputStream file;
    private byte[] piece = new byte[0];
    private int at;
    private boolean atLineStart;

    private MailFolder(List<Path> files) {
        this.files = files.iterator();
    }

    /**
     * Opens a folder.
     *
     * @throws IllegalArgumentException when there is no message in it
     */
    public static MailFolder open(Path folder) throws IOException {
        List<Path> files;
        try (Stream<Path> all = Files.walk(folder, DEEPEST)) {
            files = all.filter(Files::isRegularFile).limit(MOST_FILES).sorted().toList();
        }
        List<Path> kept = files.stream().filter(MailFolder::isInMaildir).toList();
        List<Path> messages = kept.isEmpty()
                ? files.stream()
                        .filter(each -> each.toString().toLowerCase(Locale.ROOT).endsWith(".eml"))
                        .toList()
                : kept;
        if (messages.isEmpty()) {
            throw new IllegalArgumentException(
                    folder + " is no Maildir (it has no cur or new with messages), and there is no .eml file in it.");
        }
        return new MailFolder(messages);
    }

    private static boolean isInMaildir(Path file) {
        String within = Optional.ofNullable(file.getParent())
                .map(Path::getFileName)
                .map(Path::toString)
                .orElse("");
        boolean hidden = String.valueOf(file.getFileName()).startsWith(".");
        return !hidden && (within.equals("cur") || within.equals("new"));
    }

    @Override
    public int read() throws IOException {
        return fill() ? piece[at++] & 0xFF : -1;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
        if (length == 0) {
            return 0;
        }
        if (!fill()) {
            return -1;
        }
        int taken = Math.min(length, piece.length - at);
        System.arraycopy(piece, at, into, offset, taken);
        at += taken;
        return taken;
    }

    private boolean fill() throws IOException {
        while (at >= piece.length) {
            Optional<byte[]> next = next();
            if (next.isEmpty()) {
                return false;
            }
            piece = next.get();
            at = 0;
        }
        return true;
    }

    private Optional<byte[]> next() throws IOException {
        if (file == null) {
            return files.hasNext() ? Optional.of(begin(files.next())) : Optional.empty();
        }
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        int each = file.read();
        while (each >= 0 && each != '\n' && line.size() < LONGEST_PIECE) {
            line.write(each);
            each = file.read();
        }
        if (each >= 0) {
            line.write(each);
        }
        byte[] written = line.toByteArray();
        boolean begins = atLineStart;
        atLineStart = each == '\n';
        if (each < 0) {
            file.close();
            file = null;
            line.writeBytes(ending(written, begins));
        }
        return Optional.of(begins && isSeparator(written) ? quoted(line.toByteArray()) : line.toByteArray());
    }

    /** A message ends with its line, and an empty one stands between it and the next. */
    private static byte[] ending(byte[] last, boolean begins) {
        return (begins && last.length == 0 ? "\n" : "\n\n").getBytes(StandardCharsets.US_ASCII);
    }

    private byte[] begin(Path message) throws IOException {
        Instant when = Files.getLastModifiedTime(message).toInstant();
        file = new BufferedInputStream(Files.newInputStream(message), LONGEST_PIECE);
        atLineStart = true;
        return ("From - " + ASCTIME.format(when) + "\n").getBytes(StandardCharsets.US_ASCII);
    }

    /** Whether a reader could take a line, quoted or not, for the beginning of a message. */
    private static boolean isSeparator(byte[] line) {
        int marks = 0;
        while (marks < line.length && line[marks] == '>') {
            marks++;
        }
        for (int i = 0; i < FROM.length; i++) {
            if (marks + i >= line.length || line[marks + i] != FROM[i]) {
                return false;
            }
        }
        return true;
    }

    private static byte[] quoted(byte[] line) {
        byte[] quoted = new byte[line.length + 1];
        quoted[0] = '>';
        System.arraycopy(line, 0, quoted, 1, line.length);
        return quoted;
    }

    @Override
    public void close() throws IOException {
        if (file != null) {
            file.close();
        }
    }
}
