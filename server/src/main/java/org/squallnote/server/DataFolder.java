package org.squallnote.server;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** The folder that holds everything the application keeps: the database and, apart from it, the key. */
@Component
public class DataFolder {

    /** Port and token of the running application. */
    public static final String RUNNING = "running";

    private static final Logger LOG = LoggerFactory.getLogger(DataFolder.class);
    private static final Set<PosixFilePermission> FOR_ME_ALONE = PosixFilePermissions.fromString("rwx------");
    private static final Set<PosixFilePermission> FILE_FOR_ME_ALONE = PosixFilePermissions.fromString("rw-------");

    private final Path folder;

    /** Makes the folder where it is missing; what was there before becomes readable for the application's user only. */
    public DataFolder(@Value("${data}") String folder) throws IOException {
        this.folder = Path.of(folder).toAbsolutePath();
        Files.createDirectories(this.folder, PosixFilePermissions.asFileAttribute(FOR_ME_ALONE));
        closeToOthers(this.folder);
    }

    /** The database makes its files by itself; they are looked at again once it is open. */
    @EventListener
    void closeToOthers(ApplicationReadyEvent ready) throws IOException {
        closeToOthers(folder);
    }

    /** Makes what lies in it readable for the application's user only. */
    public void closeToOthers() throws IOException {
        closeToOthers(folder);
    }

    private static void closeToOthers(Path folder) throws IOException {
        // A folder in it that is closed closes what lies below, however much that is.
        try (Stream<Path> all = Files.walk(folder, 1)) {
            for (Path path : all.toList()) {
                if (!Files.isSymbolicLink(path) && Files.exists(path)) {
                    Files.setPosixFilePermissions(path, Files.isDirectory(path) ? FOR_ME_ALONE : FILE_FOR_ME_ALONE);
                }
            }
        } catch (UnsupportedOperationException e) {
            LOG.warn("This file system knows no permissions; others on this machine may read the data folder", e);
        }
    }

    /**
     * Makes sure that no other process has the database open, before anything is started.
     *
     * @throws IllegalArgumentException when one has, in a sentence
     */
    void requireFree() throws IOException {
        Path database = folder.resolve("squallnote.mv.db");
        if (!Files.exists(database)) {
            return;
        }
        try (FileChannel channel = FileChannel.open(database, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
            FileLock lock = channel.tryLock();
            if (lock != null) {
                lock.release();
                return;
            }
        } catch (OverlappingFileLockException e) {
            LOG.debug("This process has it open itself", e);
        }
        throw new IllegalArgumentException(
                "The data in " + folder
                        + " is in use: Squallnote runs with it, or one of its commands does. End that first. Nothing was changed.");
    }

    /** The folder itself, absolute. */
    public Path path() {
        return folder;
    }

    /** A file in the folder. */
    public Path file(String name) {
        return folder.resolve(name);
    }

    /** Writes a file that only the user of the application can read; it is never there in part. */
    public void writePrivately(String name, String content) throws IOException {
        Path part =
                Files.createTempFile(folder, name, ".part", PosixFilePermissions.asFileAttribute(FILE_FOR_ME_ALONE));
        Files.writeString(part, content, StandardCharsets.UTF_8);
        Files.move(part, file(name), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }
}
