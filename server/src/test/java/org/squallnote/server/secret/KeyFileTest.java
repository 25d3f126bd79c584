package org.squallnote.server.secret;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.squallnote.server.DataFolder;

class KeyFileTest {

    private static final byte[] SECRET = "merrow quay".getBytes(StandardCharsets.UTF_8);

    @TempDir
    Path folder;

    @Test
    void whatIsEncryptedIsReadAgainAfterARestart() throws Exception {
        UUID source = UUID.randomUUID();
        byte[] stored = new KeyFile(new DataFolder(folder.toString())).encrypt(source, SECRET);

        assertThat(new String(stored, StandardCharsets.ISO_8859_1)).doesNotContain("merrow");
        assertThat(new KeyFile(new DataFolder(folder.toString())).decrypt(source, stored))
                .isEqualTo(SECRET);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("key"))))
                .isEqualTo("rw-------");
    }

    @Test
    void theSameSecretNeverLooksTheSame() throws Exception {
        KeyFile key = new KeyFile(new DataFolder(folder.toString()));
        UUID source = UUID.randomUUID();
        assertThat(key.encrypt(source, SECRET)).isNotEqualTo(key.encrypt(source, SECRET));
    }

    @Test
    void aSecretOfAnotherSourceOrAnotherKeyIsNotReadAndSaysWhatToDo() throws Exception {
        KeyFile key = new KeyFile(new DataFolder(folder.toString()));
        byte[] stored = key.encrypt(UUID.randomUUID(), SECRET);
        assertThatThrownBy(() -> key.decrypt(UUID.randomUUID(), stored))
                .hasMessageContaining("enter the password again");
    }

    @Test
    void whereNoSecretCameAlongItSaysWhatToDo() throws Exception {
        KeyFile key = new KeyFile(new DataFolder(folder.toString()));
        assertThatThrownBy(() -> key.decrypt(UUID.randomUUID(), new byte[0]))
                .isInstanceOf(UnreadableSecretException.class)
                .hasMessageContaining("enter the password again");
    }
}
