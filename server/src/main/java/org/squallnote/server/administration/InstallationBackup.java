package org.squallnote.server.administration;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;
import org.squallnote.server.DataFolder;

/**
 * Everything of an installation but its key as one ZIP, laid out as the data folder is, while the application runs. The database
 * is that of one moment; the contents of messages and files, which are written once and never changed, are read after it, so
 * that all it speaks of is there.
 */
@Component
public class InstallationBackup {

    private static final String CONTENTS = "content";

    private final DataSource database;
    private final DataFolder folder;

    InstallationBackup(DataSource database, DataFolder folder) {
        this.database = database;
        this.folder = folder;
    }

    /** Writes it. */
    public void write(OutputStream out) throws IOException {
        Path database = Files.createTempFile(folder.path(), "backup", ".part");
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            saveDatabase(database);
            copyDatabase(database, zip);
            for (Path content : contents()) {
                copyContent(content, zip);
            }
        } finally {
            Files.deleteIfExists(database);
        }
    }

    private void saveDatabase(Path to) throws IOException {
        try (Connection connection = database.getConnection();
                PreparedStatement backup = connection.prepareStatement("backup to ?")) {
            backup.setString(1, to.toString());
            backup.execute();
        } catch (SQLException e) {
            throw new IOException("The database cannot be saved: " + e.getMessage(), e);
        }
    }

    private static void copyDatabase(Path saved, ZipOutputStream zip) throws IOException {
        try (ZipInputStream in = new ZipInputStream(new BufferedInputStream(Files.newInputStream(saved)))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                zip.putNextEntry(new ZipEntry(entry.getName()));
                in.transferTo(zip);
                zip.closeEntry();
            }
        }
    }

    private List<Path> contents() throws IOException {
        Path contents = folder.file(CONTENTS);
        if (!Files.isDirectory(contents)) {
            return List.of();
        }
        try (Stream<Path> all = Files.walk(contents)) {
            return all.filter(Files::isRegularFile).sorted().toList();
        }
    }

    private void copyContent(Path content, ZipOutputStream zip) throws IOException {
        byte[] bytes;
        try {
            bytes = Files.readAllBytes(content);
        } catch (NoSuchFileException e) {
            return; // Swept away meanwhile: nothing spoke of it any more.
        }
        zip.putNextEntry(
                new ZipEntry(folder.path().relativize(content).toString().replace('\\', '/')));
        zip.write(bytes);
        zip.closeEntry();
    }
}
