package org.squallnote.store.content;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.SeekableByteChannel;

/** How a file lies on the disk. */
interface FileForm {

    /** What its name ends with. */
    String suffix();

    /** Its name without that. */
    String name(String sha256);

    /** Takes its content; closed, the file is complete. */
    OutputStream writing(OutputStream file) throws IOException;

    /** Gives its content. */
    SeekableByteChannel reading(SeekableByteChannel file) throws IOException;
}
