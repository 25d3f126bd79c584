package org.squallnote.core.message;

import java.util.Optional;

/** A small mail. */
final class MailInMemory implements RawMail, RawMail.Opened {

    private final byte[] bytes;

    MailInMemory(byte[] bytes) {
        this.bytes = bytes;
    }

    @Override
    public long size() {
        return bytes.length;
    }

    @Override
    public Optional<byte[]> inMemory() {
        return Optional.of(bytes);
    }

    @Override
    public Opened open() {
        return this;
    }

    @Override
    public String sha256() {
        return Sha256.of(bytes);
    }

    @Override
    public int read(long position, byte[] into, int from, int most) {
        if (position >= bytes.length) {
            return -1;
        }
        int some = (int) Math.min(most, bytes.length - position);
        System.arraycopy(bytes, (int) position, into, from, some);
        return some;
    }

    @Override
    public void close() {
        // Memory needs no closing.
    }
}
