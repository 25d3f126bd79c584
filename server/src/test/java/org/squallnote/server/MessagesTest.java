package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.squallnote.core.message.MailSpool;
import org.squallnote.core.message.RawMail;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.store.content.ContentFiles;
import tools.jackson.databind.JsonNode;

class MessagesTest extends ServerTest {

    private static final String RAW = """
            Message-ID: <html@x.example>
            From: Greta <greta@holmprint.example>
            To: <ines@merrowquay.example>, <bo@merrowquay.example>
            Subject: Proof
            Date: Mon, 2 Mar 2026 09:00:00 +0000
            MIME-Version: 1.0
            Content-Type: multipart/mixed; boundary=m

            --m
            Content-Type: text/html; charset=utf-8

            <p style="color:red">Please check <script>alert(1)</script><img src="https://x.example/p.gif"></p>
            --m
            Content-Type: text/html; name="evil.html"
            Content-Disposition: attachment; filename="evil.html"

            <script>alert(1)</script>
            --m
            Content-Type: text/plain; name="notes.txt"
            Content-Disposition: attachment; filename="notes.txt"

            notes
            --m--
            """;

    @Autowired
    private ContentFiles contents;

    @Autowired
    private DataFolder folder;

    private SignedIn me;
    private String id;

    @BeforeEach
    void aMessage() {
        me = newAccount();
        byte[] raw = RAW.getBytes(StandardCharsets.UTF_8);
        arrive(me, new ArrivedMail(1, MONDAY, RawMail.of(raw), MailParser.parse(raw)));
        id = messageId(me, "html@x.example");
    }

    private MockHttpServletResponse response(String path) {
        return call(me, HttpMethod.GET, "/api/messages/" + id + path, "").getResponse();
    }

    @Test
    void htmlIsAPageOfItsOwnThatCanDoNothing() throws Exception {
        MockHttpServletResponse page = response("/html");
        String policy = String.valueOf(page.getHeader("Content-Security-Policy"));

        assertThat(policy).contains("default-src 'none'", "img-src 'self';").doesNotContain("unsafe", "https:");
        assertThat(page.getContentAsString())
                .contains("Please check")
                .doesNotContain("alert(1)", "x.example", "style=");
        assertThat(page.getHeader("X-Remote-Pictures")).isEqualTo("1");
        String nonce = policy.replaceAll(".*'nonce-([^']+)'.*", "$1");
        assertThat(page.getContentAsString()).contains("<style nonce=\"" + nonce + "\">");
        assertThat(response("/html").getHeader("Content-Security-Policy")).doesNotContain(nonce);
        assertThat(response("/html?pictures=true").getContentAsString()).contains("https://x.example/p.gif");
    }

    @Test
    void filesAreSavedUnlessTheyAreHarmless() {
        MockHttpServletResponse evil = response("/files/1?view=true");
        assertThat(evil.getHeader("Content-Disposition"))
                .startsWith("attachment")
                .contains("evil.html");
        assertThat(evil.getContentType()).isEqualTo("application/octet-stream");
        assertThat(evil.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");

        MockHttpServletResponse notes = response("/files/2?view=true");
        assertThat(notes.getHeader("Content-Disposition")).startsWith("inline");
        assertThat(notes.getContentType()).isEqualTo("text/plain");
        assertThat(notes.getHeader("Content-Security-Policy")).contains("sandbox");
        assertThat(response("/files/9").getStatus()).isEqualTo(404);
    }

    @Test
    void theMessageIsKeptAsItCame() throws Exception {
        assertThat(response("/source").getContentAsString()).isEqualTo(RAW);
    }

    @Test
    void aProposalSaysWhy() {
        var proposal = get(me, "/api/messages/" + id).path("proposal");
        assertThat(proposal.path("title").asString("")).isEqualTo("Check Proof");
        assertThat(proposal.path("replyBy").asString("")).isEqualTo("2026-03-04");
        assertThat(proposal.path("replyByReason").asString("")).contains("2 working days, since it names no date");
    }

    @Test
    void aDraftIsKeptUntilItIsEmpty() {
        assertThat(call(
                        me,
                        HttpMethod.PUT,
                        "/api/messages/" + id + "/draft",
                        "{\"text\":\"Dear Gr\",\"toAll\":true,\"cc\":\"bo@\",\"bcc\":\"\"}"))
                .hasStatus(204);
        assertThat(get(me, "/api/messages/" + id).path("draft").path("text").asString(""))
                .isEqualTo("Dear Gr");
        assertThat(get(me, "/api/messages/" + id).path("draft").path("cc").asString(""))
                .isEqualTo("bo@");
        assertThat(call(
                        me,
                        HttpMethod.PUT,
                        "/api/messages/" + id + "/draft",
                        "{\"text\":\"\",\"toAll\":false,\"cc\":\"\",\"bcc\":\"\"}"))
                .hasStatus(204);
        assertThat(get(me, "/api/messages/" + id).path("draft").isNull()).isTrue();
    }

    @Test
    void anEmptyOrImpossibleAnswerIsRefusedAndNothingIsDecided() {
        assertThat(call(me, HttpMethod.POST, "/api/messages/" + id + "/answer", "{\"text\":\"  \",\"toAll\":false}"))
                .hasStatus(422)
                .bodyText()
                .contains("The answer is empty");
        assertThat(get(me, "/api/messages/" + id).path("decision").asString("")).isEqualTo("UNDECIDED");
        assertThat(call(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + id + "/follow-ups/" + id,
                        "{\"title\":\" \",\"firm\":true}"))
                .hasStatus(422);
        assertThat(call(me, HttpMethod.POST, "/api/messages/" + id + "/follow-ups/" + id, "{nonsense"))
                .hasStatus(400);
    }

    @Test
    void ofAThousandAsksSomeAreMarkedAndEachWhereItStands() {
        String ask = "Could you send me plan 7?";
        arrive(me, mail(5, "many@x.example", "Plans", "", ("> old\n" + ask + "\n").repeat(1000)));

        JsonNode message = get(me, "/api/messages/" + messageId(me, "many@x.example"));
        String text = message.path("ownWords").asString("");
        JsonNode marks = message.path("reading").path("marks");
        assertThat(marks.size()).isEqualTo(500);
        for (JsonNode mark : marks) {
            if ("ASK".equals(mark.path("kind").asString(""))) {
                assertThat(text.substring(
                                mark.path("from").asInt(0), mark.path("to").asInt(0)))
                        .isEqualTo(ask);
            }
        }
    }

    @Test
    void aLargeMailLiesBesideTheDatabaseAndIsServedFromThere() throws Exception {
        String plan = "A line of a large file that somebody sent.\r\n".repeat(60_000);
        byte[] raw = RAW.replace("<html@x.example>", "<large@x.example>")
                .replace("\n\nnotes\n", "\n\n" + plan)
                .getBytes(StandardCharsets.UTF_8);
        try (MailSpool.Writing writing = contents.begin()) {
            writing.write(raw, 0, raw.length);
            RawMail mail = writing.end();
            arrive(me, new ArrivedMail(2, MONDAY, mail, MailParser.parse(mail)));
        }
        id = messageId(me, "large@x.example");
        assertThat(response("/source").getContentAsByteArray()).isEqualTo(raw);
        assertThat(response("/files/2").getContentAsString()).isEqualTo(plan.strip());
        assertThat(response("/html").getContentAsString()).contains("Please check");

        Path file = folder.path().resolve("content");
        try (Stream<Path> all = Files.walk(file)) {
            for (Path path : all.filter(Files::isRegularFile).toList()) {
                Files.write(path, new byte[] {1});
            }
        }
        for (String path : List.of("/source", "/files/2", "/html")) {
            assertThat(response(path).getStatus()).isEqualTo(500);
            assertThat(response(path).getContentAsString()).contains("damaged on the disk", "Its text");
        }
        assertThat(get(me, "/api/messages/" + id).path("subject").asString()).isEqualTo("Proof");
    }
}
