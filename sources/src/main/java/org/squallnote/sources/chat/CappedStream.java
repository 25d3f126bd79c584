package org.squallnote.sources.chat;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** A stream that breaks off with an error behind a number of bytes, so that nobody takes a part for the whole. */
final class CappedStream extends FilterInputStream {

    private final long most;
    private long read;

    CappedStream(InputStream in, long most) {
        super(in);
        this.most = most;
    }

    @Override
    public int read() throws IOException {
        int value = super.read();
        if (value >= 0) {
            count(1);
        }
        return value;
    }

    @Override
    public int read(byte[] bytes, int from, int length) throws IOException {
        int got = super.read(bytes, from, length);
        if (got > 0) {
            count(got);
        }
        return got;
    }

    private void count(int bytes) throws IOException {
        read += bytes;
        if (read > most) {
            throw new IOException("The file is larger than " + most / 1024 / 1024 + " MiB.");
        }
    }
}
