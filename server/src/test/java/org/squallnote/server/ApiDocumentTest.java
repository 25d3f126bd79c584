package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** The document from which the page's types are made says what the API really is. */
class ApiDocumentTest extends ServerTest {

    private static final Path DOCUMENT = Path.of("..", "docs", "openapi.json");

    @Test
    void theDocumentIsUpToDate() throws IOException {
        String now = json.writerWithDefaultPrettyPrinter()
                        .writeValueAsString(json.readTree(mvc.get()
                                .uri("/v3/api-docs")
                                .exchange()
                                .getResponse()
                                .getContentAsByteArray()))
                + "\n";
        if (Boolean.getBoolean("update")) {
            Files.writeString(DOCUMENT, now);
        }
        assertThat(Files.readString(DOCUMENT))
                .as(
                        "docs/openapi.json; write it anew with: mvn -pl server test -Dtest=ApiDocumentTest -Dupdate=true, then npm run types in web")
                .isEqualTo(now);
    }
}
