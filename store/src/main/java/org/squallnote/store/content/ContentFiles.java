package org.squallnote.store.content;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.Sha256;

/**
 * Mails too large for the database, each in a file that is named after the SHA-256 of its bytes: the same mail twice is
 * one file, and a file that is not what it was is noticed. A file is whole and on the disk before it has its name.
 */
public final class ContentFiles implements MailSpool {

    private static final String PART = ".part";
    private static final int PIECE = 64 * 1024;

    private final Path folder;
    private final FileForm form;
    private final Clock clock;

    /**
     * The files of a data folder.
     *
     * @param key by which they are encrypted; absent where they are not
     * @param clock by which they are old
     */
    public ContentFiles(Path data, Optional<String> key, Clock clock) {
        this.clock = clock;
        this.folder = data.resolve("content");
        this.form = key.<FileForm>map(EncryptedForm::new).orElseGet(PlainForm::new);
    }

    /** Makes the folder; removes what was never ended, and encrypts what lies there from before that was wished. */
    public void prepare() throws IOException {
        Files.createDirectories(folder);
        for (Path part : files(path -> path.toString().endsWith(PART))) {
            Files.delete(part);
        }
        if (form.suffix().isEmpty()) {
            return;
        }
        for (Path plain : files(path -> !path.toString().endsWith(form.suffix()))) {
            try (InputStream in = Files.newInputStream(plain);
                    Writing writing = begin()) {
                byte[] some = new byte[PIECE];
                for (int length = in.read(some); length >= 0; length = in.read(some)) {
                    writing.write(some, 0, length);
                }
                writing.end();
            }
            Files.delete(plain);
        }
    }

    @Override
    public Writing begin() throws IOException {
        return new FileWriting(Files.createTempFile(folder, "mail", PART));
    }

    /**
     * A mail that was ended before.
     *
     * @param size in bytes
     */
    public RawMail of(String sha256, long size) {
        return new MailInFile(sha256, size);
    }

    /**
     * Removes the files that nothing refers to: of mails that came in as the application was killed.
     *
     * @param used the sums that are referred to
     * @param before files that are younger stay; what they belong to may be about to be stored
     * @return how many were removed
     */
    public int sweep(Set<String> used, Instant before) throws IOException {
        Set<Path> places = used.stream().map(this::place).collect(Collectors.toSet());
        int removed = 0;
        for (Path file : files(path -> !places.contains(path))) {
            if (Files.getLastModifiedTime(file).toInstant().isBefore(before) && Files.deleteIfExists(file)) {
                removed++;
            }
        }
        return removed;
    }

    private List<Path> files(Predicate<Path> wanted) throws IOException {
        try (Stream<Path> all = Files.walk(folder, 2)) {
            return all.filter(Files::isRegularFile).filter(wanted).toList();
        }
    }

    private Path place(String sha256) {
        return shelf(sha256).resolve(form.name(sha256) + form.suffix());
    }

    /** Folders by the first byte of the name, so that none of them holds very many. */
    private Path shelf(String sha256) {
        return folder.resolve(form.name(sha256).substring(0, 2));
    }

    private static void onDisk(Path path) throws IOException {
        try (FileChannel channel = FileChannel.open(path, StandardOpenOption.READ)) {
            channel.force(true);
        }
    }

    private final class FileWriting implements Writing {

        private final Path part;
        private final MessageDigest digest = Sha256.digest();
        private final OutputStream out;
        private long size;

        FileWriting(Path part) throws IOException {
            this.part = part;
            this.out = form.writing(Files.newOutputStream(part));
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            digest.update(bytes, from, length);
            out.write(bytes, from, length);
            size += length;
        }

        @Override
        public RawMail end() throws IOException {
            out.close();
            onDisk(part);
            String sha256 = Sha256.hex(digest);
            Path place = place(sha256);
            Path shelf = shelf(sha256);
            Files.createDirectories(shelf);
            // One that lies there is replaced by its like: it is young again, and mended if it was damaged.
            Files.move(part, place, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            Files.setLastModifiedTime(place, FileTime.from(clock.instant()));
            onDisk(shelf);
            return new MailInFile(sha256, size);
        }

        @Override
        public void close() throws IOException {
            out.close();
            Files.deleteIfExists(part);
        }
    }

    private final class MailInFile implements RawMail {

        private final String sha256;
        private final long size;

        MailInFile(String sha256, long size) {
            this.sha256 = sha256;
            this.size = size;
        }

        @Override
        public long size() {
            return size;
        }

        @Override
        public Optional<byte[]> inMemory() {
            return Optional.empty();
        }

        @Override
        public String sha256() {
            return sha256;
        }

        @Override
        public Opened open() throws IOException {
            Path place = place(sha256);
            try {
                SeekableByteChannel file = form.reading(Files.newByteChannel(place));
                try {
                    check(file);
                } catch (IOException | RuntimeException e) {
                    file.close();
                    throw e;
                }
                return new OpenedFile(file);
            } catch (IOException e) {
                throw new DamagedContentException(place, e);
            }
        }

        private void check(SeekableByteChannel file) throws IOException {
            MessageDigest digest = Sha256.digest();
            InputStream in = Channels.newInputStream(file);
            byte[] some = new byte[PIECE];
            for (int length = in.read(some); length >= 0; length = in.read(some)) {
                digest.update(some, 0, length);
            }
            if (!Sha256.hex(digest).equals(sha256)) {
                throw new IOException("What it holds has another SHA-256 than its name says");
            }
        }
    }

    private record OpenedFile(SeekableByteChannel file) implements RawMail.Opened {

        @Override
        public int read(long position, byte[] into, int from, int most) throws IOException {
            synchronized (file) {
                file.position(position);
                return file.read(ByteBuffer.wrap(into, from, most));
            }
        }

        @Override
        public void close() throws IOException {
            file.close();
        }
    }
}
