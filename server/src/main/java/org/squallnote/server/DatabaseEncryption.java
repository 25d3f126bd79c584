package org.squallnote.server;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Base64;
import java.util.Map;
import java.util.Optional;
import org.h2.tools.ChangeFileEncryption;

/**
 * Keeps the whole database encrypted on its disk, on wish, by the database's own cipher (AES). The key comes from the
 * environment, or lies in a file of the data folder; whether a database is encrypted says its own first bytes.
 */
final class DatabaseEncryption {

    /** The variable that holds the key, for those who do not want it beside the database. */
    static final String VARIABLE = "SQUALLNOTE_DATABASE_KEY";

    private static final String DATABASE = "squallnote";
    private static final String KEY_FILE = "database-key";
    private static final byte[] ENCRYPTED = "H2encrypt".getBytes(StandardCharsets.US_ASCII);

    private final DataFolder folder;
    private final Optional<String> given;

    /**
     * For a data folder.
     *
     * @param given the key that the environment gives
     */
    DatabaseEncryption(DataFolder folder, Optional<String> given) {
        this.folder = folder;
        this.given = given.filter(key -> !key.isBlank());
    }

    /**
     * The settings by which the database is opened; none for one that is not encrypted. Encrypts one that is not, when
     * that is wished.
     */
    Map<String, Object> settings(boolean wished) throws IOException, SQLException {
        Path file = folder.file(DATABASE + ".mv.db");
        boolean there = Files.exists(file);
        boolean encrypted = there && isEncrypted(file);
        if (!encrypted && !wished) {
            return Map.of();
        }
        String key = key(!encrypted);
        if (there && !encrypted) {
            ChangeFileEncryption.execute(folder.path().toString(), DATABASE, "AES", null, key.toCharArray(), true);
        }
        // H2 takes the file's password and the user's, which is empty, as two words.
        return Map.of("database-cipher", ";CIPHER=AES", "spring.datasource.password", key + " ");
    }

    private static boolean isEncrypted(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] start = in.readNBytes(ENCRYPTED.length);
            return Arrays.equals(start, ENCRYPTED);
        }
    }

    private String key(boolean mayBeMade) throws IOException {
        if (given.isPresent()) {
            if (given.get().contains(" ")) {
                throw new IllegalArgumentException("The key in " + VARIABLE + " must not hold a space.");
            }
            return given.get();
        }
        Path file = folder.file(KEY_FILE);
        if (Files.exists(file)) {
            return Files.readString(file).strip();
        }
        if (!mayBeMade) {
            throw new IllegalArgumentException(
                    "The database in " + folder.path() + " is encrypted, and its key is neither in " + VARIABLE
                            + " nor in the file " + KEY_FILE + ". Nothing was changed; give the key and start again.");
        }
        byte[] fresh = new byte[32];
        new SecureRandom().nextBytes(fresh);
        String key = Base64.getUrlEncoder().withoutPadding().encodeToString(fresh);
        folder.writePrivately(KEY_FILE, key + "\n");
        return key;
    }
}
