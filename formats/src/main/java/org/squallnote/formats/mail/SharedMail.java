package org.squallnote.formats.mail;

import jakarta.mail.internet.SharedInputStream;
import java.io.IOException;
import java.io.InputStream;
import org.squallnote.core.message.RawMail;

/**
 * A part of a mail that lies in a file, as the parser wants it: parts of parts are places in the file and not copies.
 * Closing one of them closes nothing; the file is closed by whoever opened it.
 */
final class SharedMail extends InputStream implements SharedInputStream {

    private static final int WINDOW = 16 * 1024;

    private final RawMail.Opened mail;
    private final long start;
    private final long end;
    private final byte[] window = new byte[WINDOW];
    private long windowAt;
    private int windowFilled;
    private long at;
    private long mark;

    /**
     * The bytes from one place to another.
     *
     * @param end behind the last one
     */
    SharedMail(RawMail.Opened mail, long start, long end) {
        this.mail = mail;
        this.start = start;
        this.end = end;
        this.at = start;
        this.mark = start;
    }

    @Override
    public int read() throws IOException {
        return fill() == 0 ? -1 : window[(int) (at++ - windowAt)] & 0xff;
    }

    @Override
    public int read(byte[] into, int from, int most) throws IOException {
        if (most == 0) {
            return 0;
        }
        int some = Math.min(fill(), most);
        if (some == 0) {
            return -1;
        }
        System.arraycopy(window, (int) (at - windowAt), into, from, some);
        at += some;
        return some;
    }

    /** How many bytes of the window are left, reading another window where none are. */
    private int fill() throws IOException {
        if (at >= end) {
            return 0;
        }
        if (at < windowAt || at >= windowAt + windowFilled) {
            int read = mail.read(at, window, 0, (int) Math.min(WINDOW, end - at));
            windowAt = at;
            windowFilled = Math.max(read, 0);
        }
        return (int) (windowAt + windowFilled - at);
    }

    @Override
    public long skip(long many) {
        long some = Math.max(0, Math.min(many, end - at));
        at += some;
        return some;
    }

    @Override
    public int available() {
        return (int) Math.min(Integer.MAX_VALUE, end - at);
    }

    @Override
    public boolean markSupported() {
        return true;
    }

    @Override
    public synchronized void mark(int most) {
        mark = at;
    }

    @Override
    public synchronized void reset() {
        at = mark;
    }

    @Override
    public long getPosition() {
        return at - start;
    }

    @Override
    public InputStream newStream(long from, long to) {
        return new SharedMail(mail, start + from, to < 0 ? end : Math.min(end, start + to));
    }
}
