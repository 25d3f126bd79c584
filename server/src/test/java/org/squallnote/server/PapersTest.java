package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The papers speak of classes and files that are there. */
class PapersTest {

    private static final Path PROJECT = Path.of("..");
    private static final Pattern CLASS = Pattern.compile("`([A-Z][a-z0-9]+[A-Z]\\w*)(\\.\\w+)?`");
    private static final Pattern FILE = Pattern.compile("`([\\w/-]+\\.(?:ts|vue|java|sql|yaml))`");
    private static final Pattern PLACE = Pattern.compile(
            "\\]\\((?!http)([^)#]+)\\)|`((?:core|formats|store|sources|standins|server|web|e2e|bench|docs)/[\\w/.-]+)`");

    @ParameterizedTest
    @ValueSource(
            strings = {"README.md", "docs/architecture.md", "docs/rules.md", "docs/reading.md", "docs/json-lines.md"})
    void whatIsNamedIsThere(String paper) throws IOException {
        String text = Files.readString(PROJECT.resolve(paper));
        Set<String> names = names();
        Set<String> missing = new TreeSet<>();
        for (Matcher found = CLASS.matcher(text); found.find(); ) {
            if (!names.contains(found.group(1) + ".java") && !names.contains(found.group(1) + ".vue")) {
                missing.add(found.group(1));
            }
        }
        for (Matcher found = FILE.matcher(text); found.find(); ) {
            String path = found.group(1);
            if (!names.contains(path.substring(path.lastIndexOf('/') + 1))) {
                missing.add(path);
            }
        }
        Path folder = PROJECT.resolve(paper).toAbsolutePath().getParent();
        for (Matcher found = PLACE.matcher(text); found.find(); ) {
            boolean link = found.group(1) != null;
            String path = link ? found.group(1) : found.group(2);
            if (!Files.exists((link ? folder : PROJECT).resolve(path)) && !isSource(path)) {
                missing.add(path);
            }
        }
        assertThat(missing).as("named in %s", paper).isEmpty();
    }

    /** A package may be named by its module and the rest of its path. */
    private static boolean isSource(String path) {
        int slash = path.indexOf('/');
        String module = path.substring(0, slash);
        String rest = path.substring(slash + 1);
        return Stream.of("/src/main/java/org/squallnote/" + module + "/", "/src/", "/src/main/resources/")
                .anyMatch(middle -> Files.exists(PROJECT.resolve(module + middle + rest)));
    }

    private static Set<String> names() throws IOException {
        try (Stream<Path> files =
                Files.find(PROJECT, 14, (path, attributes) -> attributes.isRegularFile() && isOurs(path.toString()))) {
            return files.map(path -> path.getFileName().toString()).collect(Collectors.toSet());
        }
    }

    private static boolean isOurs(String path) {
        return path.contains("/src/") && !path.contains("/node_modules/") && !path.contains("/target/");
    }
}
