package org.squallnote.core.message;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;

/**
 * The bytes of a mail as they came (RFC 5322): in memory or, where they are many, in a file. They never change and may be
 * read as often as wanted, by several at once.
 */
public interface RawMail {

    /** The largest one that is held in memory, in bytes. */
    int LARGEST_IN_MEMORY = 256 * 1024;

    /** How many bytes. */
    long size();

    /** The bytes, where they are few enough to be in memory. The array is not copied and must not be changed. */
    Optional<byte[]> inMemory();

    /**
     * Opens the bytes for reading, to be closed by whoever asked.
     *
     * @throws IOException when the file is gone or is not what it was
     */
    Opened open() throws IOException;

    /** The SHA-256 of the bytes (FIPS 180-4), in lower-case hexadecimal. */
    String sha256();

    /**
     * The beginning.
     *
     * @param most how many bytes at most
     * @throws UncheckedIOException when the file is gone or is not what it was
     */
    default byte[] head(int most) {
        byte[] head = new byte[(int) Math.min(most, size())];
        int filled = 0;
        try (Opened opened = open()) {
            while (filled < head.length) {
                int some = opened.read(filled, head, filled, head.length - filled);
                if (some < 0) {
                    throw new IOException("The mail ends before its end");
                }
                filled += some;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return head;
    }

    /** Bytes that can be read from any place, by several at once. */
    interface Opened extends AutoCloseable {

        /**
         * Reads some bytes.
         *
         * @param position of the first one
         * @param most at most so many
         * @return how many were read, -1 behind the end
         */
        int read(long position, byte[] into, int from, int most) throws IOException;

        @Override
        void close() throws IOException;
    }

    /** A mail in memory. */
    static RawMail of(byte[] bytes) {
        return new MailInMemory(bytes);
    }
}
