package org.squallnote.store.content;

import java.io.OutputStream;
import java.nio.channels.SeekableByteChannel;

/** A file as it is. */
record PlainForm() implements FileForm {

    @Override
    public String suffix() {
        return "";
    }

    @Override
    public String name(String sha256) {
        return sha256;
    }

    @Override
    public OutputStream writing(OutputStream file) {
        return file;
    }

    @Override
    public SeekableByteChannel reading(SeekableByteChannel file) {
        return file;
    }
}
