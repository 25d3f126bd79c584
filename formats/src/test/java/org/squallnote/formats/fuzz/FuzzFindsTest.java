package org.squallnote.formats.fuzz;

import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What {@code ./squallnote fuzz} begins with and has found: each file is given to the target that its folder names. A
 * find is kept by moving it from the folder that the command names into one of these.
 */
@Timeout(60)
class FuzzFindsTest {

    private static final Path FOLDER = Path.of("src", "test", "resources", "fuzz");
    private static final Map<String, Consumer<byte[]>> TARGETS = Map.of(
            "mail", MailTarget::fuzzerTestOneInput,
            "html", HtmlTarget::fuzzerTestOneInput,
            "reader", ReaderTarget::fuzzerTestOneInput,
            "capture", CaptureTarget::fuzzerTestOneInput);

    static List<Path> files() throws IOException {
        try (Stream<Path> files = Files.walk(FOLDER)) {
            return files.filter(Files::isRegularFile).sorted().toList();
        }
    }

    @ParameterizedTest
    @MethodSource("files")
    void isReadWithoutFailing(Path file) throws IOException {
        byte[] bytes = Files.readAllBytes(file);
        Consumer<byte[]> target = TARGETS.get(file.getParent().getFileName().toString());
        assertThatCode(() -> target.accept(bytes)).as(file.toString()).doesNotThrowAnyException();
    }
}
