package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.core.message.RawMail;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.search.Indexes;
import org.squallnote.server.search.Indexing;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.store.search.SearchStore;
import tools.jackson.databind.JsonNode;

/** Everything is found as it stands now, and nothing of others. */
class SearchTest extends ServerTest {

    @Autowired
    private Indexing indexing;

    @Autowired
    private Indexes indexes;

    @Autowired
    private SearchStore store;

    private SignedIn me;

    @BeforeEach
    void aCraneAndABoat() {
        me = newAccount();
        arrive(
                me,
                mail(
                        1,
                        "crane@x.example",
                        "Quote for the lift",
                        "",
                        "Could you send the quote for the crane by Friday?"),
                mail(2, "crane2@x.example", "Re: Quote for the lift", "<crane@x.example>", "The crane is dear."),
                mail(
                        3,
                        "boat@x.example",
                        "Otto Lindqvist <otto@lindqvist.example>",
                        "Slipway",
                        "",
                        "The boat goes into the water.",
                        MONDAY.plusSeconds(600)));
        indexing.catchUp();
    }

    private JsonNode search(SignedIn who, String words, String more) {
        return get(who, "/api/search?q=" + words + more);
    }

    private static List<String> titles(JsonNode answer) {
        return StreamSupport.stream(answer.path("results").spliterator(), false)
                .map(each -> each.path("kind").asString("") + " "
                        + each.path("title").asString(""))
                .toList();
    }

    @Test
    void aThreadIsOneResultWithTheSentenceAndWhoseTurnItIs() {
        JsonNode answer = search(me, "cranes", "");
        assertThat(titles(answer)).startsWith("THREAD Re: Quote for the lift").doesNotContain("MESSAGE Slipway");
        JsonNode first = answer.path("results").path(0);
        assertThat(first.path("more").asInt(0)).isEqualTo(1);
        assertThat(first.path("snippet").asString("")).contains("crane");
        assertThat(first.path("hits").size()).isPositive();
        assertThat(first.path("state").asString("")).isEqualTo("IN_INTAKE");
        assertThat(first.path("who").asString("")).isEqualTo("Tilda Brandt");
        assertThat(answer.path("behind").asInt(-1)).isZero();
    }

    @Test
    void aPersonIsFoundByNameAndNarrows() {
        assertThat(titles(search(me, "otto", ""))).contains("PERSON Otto Lindqvist", "MESSAGE Slipway");
        assertThat(titles(search(me, "", "&person=otto@lindqvist.example&kind=MESSAGE")))
                .containsExactly("MESSAGE Slipway");
        JsonNode people = search(me, "", "").path("chips").path("people");
        assertThat(people.path(0).path("name").asString("")).isEqualTo("Tilda Brandt");
    }

    @Test
    void aFollowUpIsFoundWithWhatWasChangedUntilItIsTakenBack() {
        String message = search(me, "boat", "&kind=MESSAGE")
                .path("results")
                .path(0)
                .path("messageId")
                .asString("");
        UUID id = UUID.randomUUID();
        String command = change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + id,
                "{\"title\":\"Ring Otto\",\"firm\":false,\"details\":{\"startDay\":null,\"place\":\"\",\"people\":[],"
                        + "\"checklist\":[{\"text\":\"ask for the winch\",\"done\":false}],\"note\":\"bring grease\"}}");
        indexing.catchUp();
        assertThat(titles(search(me, "winch", ""))).containsExactly("FOLLOW_UP Ring Otto");
        assertThat(search(me, "grease", "")
                        .path("results")
                        .path(0)
                        .path("state")
                        .asString(""))
                .isEqualTo("OPEN");
        assertThat(titles(search(me, "boat", "&linked=true"))).containsExactly("MESSAGE Slipway");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        indexing.catchUp();
        assertThat(titles(search(me, "winch", ""))).isEmpty();
        assertThat(titles(search(me, "boat", "&linked=true&kind=MESSAGE"))).isEmpty();
    }

    @Test
    void nothingOfAnotherAccountIsFoundCountedOfferedOrWeighed() {
        SignedIn other = newAccount();
        arrive(other, mail(1, "o@x.example", "Zeppelin", "", "The zeppelin lands. Quote."));
        indexing.catchUp();
        JsonNode answer = search(me, "zeppelin", "");
        assertThat(answer.path("results").size()).isZero();
        assertThat(answer.path("total").asInt(-1)).isZero();
        JsonNode before = search(me, "quote", "");
        for (int i = 0; i < 30; i++) {
            arrive(other, mail(10 + i, "q" + i + "@x.example", "Quote", "", "Quote quote quote."));
        }
        indexing.catchUp();
        assertThat(search(me, "quote", ""))
                .as("neither order, counts nor chips")
                .isEqualTo(before);
        assertThat(search(me, "", "&person=nobody@x.example").path("total").asInt(-1))
                .isZero();
    }

    @Test
    void theTextInAFileIsFound() {
        String raw = """
                Message-ID: <file@x.example>
                From: Tilda Brandt <tilda@brandt-cranes.example>
                To: <ines@merrowquay.example>
                Subject: Papers
                Content-Type: multipart/mixed; boundary=m

                --m
                Content-Type: text/plain

                See the file.
                --m
                Content-Type: text/html; name=certificate.html
                Content-Disposition: attachment; filename=certificate.html

                <p>Certificate of the <b>gantry</b></p>
                --m--
                """.replace("\n", "\r\n");
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        arrive(me, new ArrivedMail(9, MONDAY, RawMail.of(bytes), MailParser.parse(bytes)));
        indexing.catchUp();
        assertThat(titles(search(me, "certificate.html", ""))).contains("FILE certificate.html");
        assertThat(titles(search(me, "\"the gantry\"", ""))).isEmpty();
        indexing.catchUpFiles();
        JsonNode found = search(me, "\"the gantry\"", "");
        assertThat(titles(found)).containsExactly("FILE certificate.html");
        assertThat(found.path("results").path(0).path("snippet").asString("")).isEqualTo("Certificate of the gantry");
        indexes.rebuild(me.accountId());
        search(me, "", "");
        indexing.catchUp();
        indexing.catchUpFiles();
        assertThat(titles(search(me, "\"the gantry\"", ""))).as("made anew").containsExactly("FILE certificate.html");
    }

    /** Its words would stand in the clear beside a database that is not. */
    @Test
    void whatWasOnTheDiskGoesWhenTheDatabaseIsEncrypted(@TempDir Path folder) throws IOException {
        Path index = folder.resolve("search").resolve("a");
        Files.createDirectories(index);
        Files.writeString(index.resolve("words"), "zeppelin");
        new Indexes(new DataFolder(folder.toString()), "a key", store);
        assertThat(folder.resolve("search")).doesNotExist();
    }

    @Test
    void daysNarrowAndNonsenseIsRefused() {
        assertThat(titles(search(me, "", "&kind=MESSAGE&from=2026-03-03"))).isEmpty();
        assertThat(titles(search(me, "", "&kind=MESSAGE&from=2026-03-02&to=2026-03-02&newest=true")))
                .containsExactly("MESSAGE Slipway", "THREAD Re: Quote for the lift");
        assertThat(call(me, HttpMethod.GET, "/api/search?q=x&most=100000", "")
                        .getResponse()
                        .getStatus())
                .isEqualTo(400);
        assertThat(search(me, "\" ( ) * ? ~ AND OR \\", "").path("results").isArray())
                .as("no sign has a meaning of its own")
                .isTrue();
    }

    @Test
    void aSearchIsKeptWithItsCountAndTakenBack() {
        UUID id = UUID.randomUUID();
        String command = change(
                me,
                HttpMethod.PUT,
                "/api/searches/" + id,
                "{\"name\":\"Crane\",\"words\":\"crane\",\"filter\":{\"kind\":\"MESSAGE\"}}");
        JsonNode kept = get(me, "/api/searches").path(0);
        assertThat(kept.path("name").asString("")).isEqualTo("Crane");
        assertThat(kept.path("count").asInt(0)).isEqualTo(2);
        arrive(me, mail(7, "c7@x.example", "More", "", "About the crane again."));
        indexing.catchUp();
        assertThat(get(me, "/api/searches").path(0).path("count").asInt(0)).isEqualTo(3);
        assertThat(get(newAccount(), "/api/searches").size()).isZero();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(get(me, "/api/searches").size()).isZero();
        change(me, HttpMethod.PUT, "/api/searches/" + id, "{\"name\":\"a\",\"words\":\"\",\"filter\":{}}");
        change(me, HttpMethod.DELETE, "/api/searches/" + id, "");
        assertThat(get(me, "/api/searches").size()).isZero();
    }

    /** What was marked and not taken in yet, at whatever instant that ends, is taken in afterwards. */
    @Test
    void whatWasMarkedBeforeAKillIsFoundAfterIt() {
        arrive(me, mail(8, "k@x.example", "Keel", "", "The keel is laid."));
        indexes.rebuild(me.accountId());
        assertThat(titles(search(me, "keel", ""))).isEmpty();
        assertThat(search(me, "keel", "").path("behind").asInt(0)).isPositive();
        indexing.catchUp();
        assertThat(titles(search(me, "keel", ""))).containsExactly("MESSAGE Keel");
        assertThat(Instant.parse(search(me, "keel", "")
                        .path("results")
                        .path(0)
                        .path("at")
                        .asString("")))
                .isEqualTo(MONDAY.plusSeconds(480));
    }
}
