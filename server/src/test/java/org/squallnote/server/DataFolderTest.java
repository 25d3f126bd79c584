package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataFolderTest {

    @TempDir
    Path folder;

    @Test
    void oneThatIsInUseIsSaidToBeInASentence() throws IOException {
        DataFolder data = new DataFolder(folder.toString());
        assertThatCode(data::requireFree).doesNotThrowAnyException();
        Path database = Files.createFile(folder.resolve("squallnote.mv.db"));
        assertThatCode(data::requireFree).doesNotThrowAnyException();
        try (FileChannel channel = FileChannel.open(database, StandardOpenOption.WRITE);
                FileLock lock = channel.lock()) {
            assertThatIllegalArgumentException()
                    .isThrownBy(data::requireFree)
                    .withMessageContaining("is in use")
                    .withMessageEndingWith("Nothing was changed.");
        }
        assertThatCode(data::requireFree).doesNotThrowAnyException();
    }
}
