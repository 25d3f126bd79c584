package org.squallnote.core.message;

import java.io.ByteArrayOutputStream;
import java.io.IOException;

/** Takes the bytes of a mail that is too large for memory while it comes in. */
public interface MailSpool {

    /** Begins a mail. */
    Writing begin() throws IOException;

    /** Where there is memory enough, as in a command that reads a file of one's own. */
    static MailSpool inMemory() {
        return () -> new Writing() {
            private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();

            @Override
            public void write(byte[] some, int from, int length) {
                bytes.write(some, from, length);
            }

            @Override
            public RawMail end() {
                return RawMail.of(bytes.toByteArray());
            }

            @Override
            public void close() {
                bytes.reset();
            }
        };
    }

    /** A mail that is coming in. Closed without having been ended, it is forgotten. */
    interface Writing extends AutoCloseable {

        /** The next bytes. */
        void write(byte[] bytes, int from, int length) throws IOException;

        /** The whole mail, safe on the disk. */
        RawMail end() throws IOException;

        @Override
        void close() throws IOException;
    }
}
