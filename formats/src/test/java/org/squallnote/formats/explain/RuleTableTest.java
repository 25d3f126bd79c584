package org.squallnote.formats.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** The table in the documents says by what messages are really read. */
class RuleTableTest {

    private static final Path DOCUMENT = Path.of("..", "docs", "reading-rules.md");

    private static final String HEAD = """
            # The rules that messages are read by

            One row for each rule, by the first of its examples; how rules are written: [rules-of-reading.md](rules-of-reading.md).
            `./squallnote explain --rules` prints this table, `./squallnote explain --rules WORDS` every form of some of them.

            """;

    @Test
    void theDocumentIsUpToDate() throws IOException {
        String now = HEAD + String.join("\n", RuleTable.lines()) + "\n";
        if (Boolean.getBoolean("update")) {
            Files.writeString(DOCUMENT, now);
        }
        assertThat(Files.readString(DOCUMENT))
                .as(
                        "docs/reading-rules.md; write it anew with: mvn -pl formats -am test -Dtest=RuleTableTest -Dupdate=true"
                                + " -Dsurefire.failIfNoSpecifiedTests=false")
                .isEqualTo(now);
    }
}
