package org.squallnote.server;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The folder that holds everything the application keeps: the database and, apart from it, the key. */
@Component
public class DataFolder {

    /** Port and token of the running application. */
    public static final String RUNNING = "running";

    private static final Set<PosixFilePermission> FOR_ME_ALONE = PosixFilePermissions.fromString("rwx------");

    private final Path folder;

    /** Makes the folder where it is missing, readable for the user of the application only. */
    public DataFolder(@Value("${data}") String folder) throws IOException {
        this.folder = Path.of(folder).toAbsolutePath();
        Files.createDirectories(this.folder, PosixFilePermissions.asFileAttribute(FOR_ME_ALONE));
    }

    /** A file in the folder. */
    public Path file(String name) {
        return folder.resolve(name);
    }

    /** Writes a file that only the user of the application can read; it is never there in part. */
    public void writePrivately(String name, String content) throws IOException {
        Path part = Files.createTempFile(
                folder,
                name,
                ".part",
                PosixFilePermissions.asFileAttribute(Set.copyOf(PosixFilePermissions.fromString("rw-------"))));
        Files.writeString(part, content, StandardCharsets.UTF_8);
        Files.move(part, file(name), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }
}
