package org.squallnote.server.portable;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A file that is there only when it is whole. */
public final class WholeFile {

    private WholeFile() {}

    /** Writes into a file that is not there yet under its name. */
    public interface Writing {

        void write(Path part) throws IOException, InterruptedException;
    }

    /**
     * Writes a new file.
     *
     * @throws IllegalArgumentException when there is one of that name, which stays as it is
     */
    public static void write(Path file, Writing writing) throws IOException, InterruptedException {
        if (Files.exists(file)) {
            throw new IllegalArgumentException("There is a file " + file + " already. Nothing was written.");
        }
        Path part = Files.createTempFile(file.toAbsolutePath().getParent(), "export", ".part");
        try {
            writing.write(part);
            Files.move(part, file);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
