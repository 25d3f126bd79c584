package org.squallnote.store.content;

import java.io.IOException;
import java.nio.file.Path;

/** A file of the data folder is gone, or is not what was put there. */
public final class DamagedContentException extends IOException {

    private static final long serialVersionUID = 1L;

    DamagedContentException(Path file, Throwable cause) {
        super("The file " + file + " is missing or damaged", cause);
    }
}
