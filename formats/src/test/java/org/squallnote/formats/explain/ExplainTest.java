package org.squallnote.formats.explain;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ExplainTest {

    private static final String LINE = """
            {"id":"one","locale":"en-GB","zone":"Europe/London","me":{"name":"Ines Calloway","addresses":["ines@merrowquay.example"],\
            "nicknames":[],"chatId":"@ines"},"message":{"channel":"mail","from":{"name":"Tilda Brandt","address":"tilda@brandt-cranes.example"},\
            "to":[{"name":"Ines Calloway","address":"ines@merrowquay.example"}],"cc":[],"sentAt":"2026-03-10T10:20:00+00:00","subject":"Crane",\
            "headers":{},"text":"Hi Ines,\\n\\ncould you send me the plan by Thursday?"}}
            """.replace("\\\n", "");
    private static final String MAIL = """
            From: Tilda Brandt <tilda@brandt-cranes.example>
            To: Ines Calloway <ines@merrowquay.example>
            Subject: Crane
            Date: Tue, 10 Mar 2026 10:20:00 +0000
            Message-ID: <a@x.example>

            Hi Ines,

            could you send me the plan by Thursday?
            """;

    @TempDir
    Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream problems = new ByteArrayOutputStream();
    private Path lines;

    @BeforeEach
    void aFile() throws IOException {
        lines = Files.writeString(folder.resolve("lines.jsonl"), LINE);
    }

    private int run(String... arguments) {
        return Explain.run(
                arguments,
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(problems, true, StandardCharsets.UTF_8));
    }

    private String said() {
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void aPredictionLineForEachLine() {
        assertThat(run("--jsonl", lines.toString())).isZero();
        JsonNode prediction = JsonMapper.shared().readTree(said());
        assertThat(prediction.path("id").asString("")).isEqualTo("one");
        assertThat(prediction.path("nature").asString("")).isEqualTo("person");
        assertThat(prediction.path("asksMe").asBoolean()).isTrue();
        assertThat(prediction.path("replyBy").asString("")).isEqualTo("2026-03-12");
        assertThat(prediction.path("firm").asBoolean()).isTrue();
    }

    @Test
    void eachDateNamesTheRuleThatDecidedAboutIt() throws IOException {
        Path mail = Files.writeString(folder.resolve("one.eml"), MAIL);
        assertThat(run("--zone", "Europe/London", mail.toString())).isZero();
        assertThat(said())
                .contains(
                        "reply by      2026-03-12, firm, from “by Thursday”, since stated.by as in “Please send it by Friday.”")
                .contains(
                        "date          “by Thursday” is stated, since stated.by as in “Please send it by Friday.”, else tied by tied.giving;"
                                + " found by weekday.this as in “Please answer by Friday.”");
    }

    @Test
    void eachSentenceShowsItsPhrasesAndWhatTheyAreWrittenAs() throws IOException {
        Path mail = Files.writeString(folder.resolve("one.eml"), MAIL);
        assertThat(run("--stages", mail.toString())).isZero();
        assertThat(said())
                .contains("sentence      “could you send me the plan by Thursday?”")
                .contains("phrase      request.modal-you “could you”, by “<modal> you >”")
                .contains("asks        “could you”, since request.modal-you as in “Could you send me the list?”");
    }

    @Test
    void rulesThatNearlyMatchedAreNamedWithTheWordThatKeptThem() throws IOException {
        Path mail = Files.writeString(
                folder.resolve("near.eml"),
                MAIL.replace("could you send me the plan by Thursday?", "Let her know when."));
        assertThat(run("--stages", mail.toString())).isZero();
        assertThat(said())
                .contains(
                        "nearly      request.let-us-know as in “Let us know who signs.”: of “Let her know” it takes “<us>” for “her”");
    }

    @Test
    void theRulesAreListedWithTheirExamples() {
        assertThat(run("--rules", "stated.by")).isZero();
        assertThat(said().lines().findFirst().orElseThrow())
                .startsWith("stated.by ")
                .contains("“Please send it by Friday.” but not “Please send it on Friday.”");
    }

    @Test
    void theWaysToAskAreListedToo() {
        assertThat(run("--rules", "request.modal-you")).isZero();
        assertThat(said()).contains("“Could you send me the list?”, by <modal> you >");
    }

    @Test
    void aConversationStepByStep() throws IOException {
        String thread =
                "{\"id\":\"t\",\"locale\":\"en-GB\",\"zone\":\"Europe/London\",\"me\":{\"name\":\"Ines\",\"addresses\":[\"ines@x.example\"],"
                        + "\"nicknames\":[],\"chatId\":\"@ines\"},\"channel\":\"mail\",\"messages\":["
                        + message("m1", "bo", "ines", "10", "Can you call the crane firm?") + ","
                        + message("m2", "ines", "bo", "11", "Done. Which day suits you?") + "]}";
        Files.writeString(lines, thread);
        assertThat(run("--jsonl", lines.toString())).isZero();
        JsonNode steps = JsonMapper.shared().readTree(said()).path("steps");
        assertThat(steps.path(0).path("iOwe").asBoolean()).isTrue();
        assertThat(steps.path(1).path("iOwe").asBoolean()).isFalse();
        assertThat(steps.path(1).path("awaiting").path(0).asString("")).isEqualTo("bo@x.example");
        out.reset();
        assertThat(run(lines.toString())).isZero();
        assertThat(said()).contains("I owe         bo", "awaited       bo");
    }

    private static String message(String id, String from, String to, String hour, String text) {
        return "{\"id\":\"" + id + "\",\"from\":{\"name\":\"" + from + "\",\"address\":\"" + from
                + "@x.example\"},\"to\":[{\"name\":\""
                + to + "\",\"address\":\"" + to + "@x.example\"}],\"cc\":[],\"sentAt\":\"2026-03-10T" + hour
                + ":00:00+00:00\",\"subject\":\"Crane\",\"headers\":{},\"text\":\"" + text + "\",\"inReplyTo\":null}";
    }

    @Test
    void mailAndMboxInWords() throws IOException {
        Path mail = Files.writeString(folder.resolve("a.eml"), MAIL);
        assertThat(run("--zone", "Europe/London", mail.toString())).isZero();
        assertThat(said())
                .contains(
                        "asks me       yes",
                        "could you send me the plan by Thursday?",
                        "2026-03-12, firm, from “by Thursday”");
        out.reset();
        Path mbox = Files.writeString(
                folder.resolve("box"),
                "From x Tue Mar 10 10:20:00 2026\n" + MAIL + "\nFrom x Tue Mar 10 10:20:00 2026\n" + MAIL);
        assertThat(run("--me", "somebody@else.example", mbox.toString())).isZero();
        assertThat(said().split("nature")).hasSize(3);
        assertThat(said()).contains("asks me       no");
    }

    @Test
    void whatCannotBeReadIsNamedAndTheRestIsRead() throws IOException {
        Files.writeString(lines, "{nonsense\n" + LINE + "{\"id\":\"x\"}\n");
        assertThat(run("--jsonl", lines.toString(), folder.resolve("none").toString()))
                .isEqualTo(1);
        assertThat(said().lines()).hasSize(1);
        assertThat(problems.toString(StandardCharsets.UTF_8))
                .contains("line 1: this is no JSON", "line 3: the field \"me\" is missing", "does not exist");
    }

    @Test
    void wrongUseIsExplained() {
        assertThat(run()).isEqualTo(2);
        assertThat(run("--zone")).isEqualTo(2);
        assertThat(run("--colour", "red")).isEqualTo(2);
        assertThat(problems.toString(StandardCharsets.UTF_8))
                .contains("--jsonl", "needs a value", "there is no option --colour");
    }

    /** The expected lines are what a mail server answered to THREAD REFERENCES for these mailboxes. */
    @ParameterizedTest
    @ValueSource(strings = {"hostile-4", "hostile-6"})
    void threadsAsAMailServerAnswers(String mailbox) throws IOException {
        Path threads = Path.of("src/test/resources/threads");

        assertThat(run("--threads", threads.resolve(mailbox + ".mbox").toString()))
                .isZero();

        assertThat(said()).isEqualTo(Files.readString(threads.resolve(mailbox + ".thread")));
    }
}
