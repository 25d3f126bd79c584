package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.commons.codec.digest.DigestUtils;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** What was asked when, and answered when, with which message. */
class ProofTest extends ServerTest {

    private SignedIn me;
    private String thread;

    @BeforeEach
    void oneIsAnsweredAndOneIsNot() {
        me = newAccount();
        arrive(me, mail(1, "q@x.example", "Berth list", "", "Could you send me the berth list?"));
        thread = get(me, "/api/messages/" + firstInIntake(me)).path("threadId").asString("");
    }

    private byte[] bytes(String path) {
        return call(me, HttpMethod.GET, path, "").getResponse().getContentAsByteArray();
    }

    @Test
    void saysWhatIsOpenAndThenByWhichMessageItWasAnswered() {
        JsonNode open =
                get(me, "/api/threads/" + thread + "/proof").path("threads").path(0);
        JsonNode asked = open.path("exchanges").path(0);
        assertThat(asked.path("kind").asString("")).isEqualTo("ASKED_ME");
        assertThat(asked.path("words").asString("")).isEqualTo("Could you send me the berth list?");
        assertThat(asked.path("outcome").asString("")).isEqualTo("OPEN");
        arrive(me, mine(2, "a@x.example", "q@x.example", "Here is the berth list.", MONDAY.plusSeconds(7200)));
        JsonNode now =
                get(me, "/api/threads/" + thread + "/proof").path("threads").path(0);
        assertThat(now.path("exchanges").path(0).path("outcome").asString("")).isEqualTo("ANSWERED");
        int number = now.path("exchanges").path(0).path("answered").asInt(0);
        JsonNode answer = now.path("messages").path(number - 1);
        assertThat(answer.path("identity").asString("")).isEqualTo("a@x.example");
        assertThat(answer.path("words").asString("")).isEqualTo("Here is the berth list.");
        assertThat(answer.path("receivedAt").asString("")).isNotEmpty();
    }

    @Test
    void goesOnPaper() throws IOException {
        try (PDDocument pdf = Loader.loadPDF(bytes("/api/threads/" + thread + "/proof.pdf"))) {
            assertThat(new PDFTextStripper().getText(pdf).replaceAll("\\s+", " "))
                    .contains("Tilda Brandt asked me on", "Not answered yet", "Message-ID q@x.example", "SHA-256");
        }
    }

    @Test
    void liesInAnArchiveWithItsMessagesAndTheirDigests() throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream zip =
                new ZipInputStream(new ByteArrayInputStream(bytes("/api/threads/" + thread + "/proof.zip")))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        assertThat(files.keySet()).containsExactly("proof.pdf", "0001.eml", "SHA256SUMS");
        assertThat(new String(files.get("0001.eml"), StandardCharsets.UTF_8)).contains("Message-ID: <q@x.example>");
        new String(files.get("SHA256SUMS"), StandardCharsets.UTF_8)
                .lines()
                .forEach(line -> assertThat(line)
                        .isEqualTo(DigestUtils.sha256Hex(files.get(line.substring(66))) + "  " + line.substring(66)));
    }

    @Test
    void isOfSomebodyOrOfSomeDaysAndOfNobodyElses() {
        assertThat(threads("person=tilda@brandt-cranes.example")).isEqualTo(1);
        assertThat(threads("person=nobody@x.example")).isZero();
        assertThat(threads("from=2026-03-01&to=2026-03-31")).isEqualTo(1);
        assertThat(threads("from=2026-04-01")).isZero();
        assertThat(call(me, HttpMethod.GET, "/api/record/proof", "")
                        .getResponse()
                        .getStatus())
                .isEqualTo(422);
        SignedIn other = newAccount();
        assertThat(call(other, HttpMethod.GET, "/api/threads/" + thread + "/proof.pdf", "")
                        .getResponse()
                        .getStatus())
                .isEqualTo(404);
        assertThat(get(other, "/api/record/proof?person=tilda@brandt-cranes.example")
                        .path("threads")
                        .size())
                .isZero();
    }

    private int threads(String query) {
        return get(me, "/api/record/proof?" + query).path("threads").size();
    }
}
