package org.squallnote.formats.mail;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;

/** Collects the bytes of a mail as they come: in memory, and in a file from where they become many. */
public final class RawMailWriter implements AutoCloseable {

    private static final int PIECE = 64 * 1024;

    private final MailSpool spool;
    private final List<byte[]> full = new ArrayList<>();
    private byte[] last = new byte[PIECE / 4];
    private int used;
    private long size;
    private boolean cut;
    private MailSpool.@Nullable Writing file;

    /**
     * Begins a mail.
     *
     * @param spool takes what becomes too large for memory
     */
    public RawMailWriter(MailSpool spool) {
        this.spool = spool;
    }

    /** The next bytes; what goes beyond {@link MailLimits#LARGEST_MESSAGE} is left out. */
    public void add(byte[] bytes, int from, int length) throws IOException {
        if (size + length > MailLimits.LARGEST_MESSAGE) {
            cut = true;
            return;
        }
        size += length;
        if (file == null && size > RawMail.LARGEST_IN_MEMORY) {
            MailSpool.Writing begun = spool.begin();
            file = begun;
            for (byte[] piece : full) {
                begun.write(piece, 0, piece.length);
            }
            begun.write(last, 0, used);
            forget();
        }
        if (file == null) {
            collect(bytes, from, length);
        } else {
            file.write(bytes, from, length);
        }
    }

    private void collect(byte[] bytes, int from, int length) {
        int offset = from;
        int left = length;
        while (left > 0) {
            if (used == last.length) {
                full.add(last);
                last = new byte[PIECE];
                used = 0;
            }
            int some = Math.min(left, last.length - used);
            System.arraycopy(bytes, offset, last, used, some);
            used += some;
            offset += some;
            left -= some;
        }
    }

    private void forget() {
        full.clear();
        last = new byte[PIECE / 4];
        used = 0;
    }

    /** How many bytes it has now. */
    public long size() {
        return size;
    }

    /** Whether something was left out. */
    public boolean cut() {
        return cut;
    }

    /** The mail; the next bytes begin another one. */
    public RawMail take() throws IOException {
        RawMail mail;
        if (file == null) {
            mail = RawMail.of(whole());
        } else {
            mail = file.end();
            file.close();
        }
        forget();
        file = null;
        size = 0;
        cut = false;
        return mail;
    }

    private byte[] whole() {
        byte[] whole = new byte[(int) size];
        int at = 0;
        for (byte[] piece : full) {
            System.arraycopy(piece, 0, whole, at, piece.length);
            at += piece.length;
        }
        System.arraycopy(last, 0, whole, at, used);
        return whole;
    }

    /** Forgets what was not taken. */
    @Override
    public void close() throws IOException {
        if (file != null) {
            file.close();
        }
    }
}
