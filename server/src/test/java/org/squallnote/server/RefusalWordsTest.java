package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Whatever is refused is told with what is safe, or what to do: more than one sentence. */
class RefusalWordsTest {

    private static final Pattern REFUSAL =
            Pattern.compile("Refusal\\.(conflict|invalid|forbidden|unauthorized)\\(\\s*(\"[^;]*?\")\\s*\\)+\\s*;");
    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final Pattern SENTENCE_END = Pattern.compile("[.!?:;](?:\\s|$)");

    @Test
    void eachSaysWhatToDo() throws IOException {
        List<String> bare = new ArrayList<>();
        int seen = 0;
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
            for (Path source :
                    sources.filter(file -> file.toString().endsWith(".java")).toList()) {
                Matcher refusal = REFUSAL.matcher(Files.readString(source));
                while (refusal.find()) {
                    seen++;
                    StringBuilder words = new StringBuilder();
                    LITERAL.matcher(refusal.group(2)).results().forEach(part -> words.append(part.group(1)));
                    if (SENTENCE_END.matcher(words).results().count() < 2) {
                        bare.add(source.getFileName() + ": " + words);
                    }
                }
            }
        }
        assertThat(seen).isGreaterThan(70);
        assertThat(bare).isEmpty();
    }
}
