package org.squallnote.server.portable;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import org.jspecify.annotations.Nullable;

/** The lines of JSON Lines, none of which may be longer than so many bytes. */
final class BoundedLines implements AutoCloseable {

    private final InputStream in;
    private final int longest;

    BoundedLines(InputStream in, int longest) {
        this.in = new BufferedInputStream(in);
        this.longest = longest;
    }

    /**
     * The next one, without its end; null after the last.
     *
     * @throws IllegalArgumentException when it is too long
     */
    byte @Nullable [] next() throws IOException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        for (int one = in.read(); one >= 0; one = in.read()) {
            if (one == '\n') {
                return line.toByteArray();
            }
            if (line.size() == longest) {
                throw new IllegalArgumentException("a row is longer than any can be");
            }
            line.write(one);
        }
        return line.size() == 0 ? null : line.toByteArray();
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
