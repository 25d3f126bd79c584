package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.Rebuild;
import tools.jackson.databind.JsonNode;

/** What counts as an answer is shown, and can be said otherwise. */
class AnswersGivenTest extends ServerTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    @Autowired
    private Rebuild rebuild;

    private SignedIn me;
    private String thread;
    private int count;

    @BeforeEach
    void anAskAndAnAnswer() {
        me = newAccount();
        thread = ask("q1");
        answer("a1", "q1", "We have registered your request no. 4711.");
    }

    private String ask(String id) {
        arrive(me, mine(++count, id + "@x.example", "none-" + id, "Could you send me the load chart?", NINE));
        return jdbc.queryForObject(
                "select cast(thread_id as varchar) from message where owner = ? and message_id = ?",
                String.class,
                me.accountId(),
                id + "@x.example");
    }

    private String answer(String id, String ask, String text) {
        arrive(
                me,
                mail(
                        ++count,
                        id + "@x.example",
                        "Tilda Brandt <tilda@brandt-cranes.example>",
                        "Re: Crane",
                        "<" + ask + "@x.example>",
                        text,
                        NINE.plusSeconds(600L * count)));
        return jdbc.queryForObject(
                "select cast(id as varchar) from message where owner = ? and message_id = ?",
                String.class,
                me.accountId(),
                id + "@x.example");
    }

    private JsonNode detail(String id) {
        return get(me, "/api/threads/" + id);
    }

    private JsonNode given() {
        return detail(thread).path("answers").path(0);
    }

    private String say(String verdict, String missing, boolean always) {
        return change(
                me,
                HttpMethod.PUT,
                "/api/threads/" + thread + "/answers/"
                        + given().path("messageId").asString(""),
                "{\"verdict\":\"" + verdict + "\",\"missing\":\"" + missing + "\",\"always\":" + always + "}");
    }

    private int awaited(String id) {
        return detail(id).path("line").path("awaited").size();
    }

    @Test
    void anAnswerIsShownWithWhatWasAsked() {
        assertThat(awaited(thread)).isZero();
        assertThat(given().path("name").asString("")).isEqualTo("Tilda Brandt");
        assertThat(given().path("what").asString("")).contains("load chart");
        assertThat(given().path("words").asString("")).contains("registered your request");
        assertThat(given().path("verdict").asString("")).isEqualTo("ANSWER");
    }

    @Test
    void whoseAnswerIsNoneStaysAwaitedUntilThatIsTakenBack() {
        String command = say("NO_ANSWER", "", false);
        assertThat(awaited(thread)).isEqualTo(1);
        assertThat(given().path("verdict").asString("")).isEqualTo("NO_ANSWER");
        rebuild.run(me.accountId());
        assertThat(awaited(thread)).as("rebuilt it is the same").isEqualTo(1);
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(awaited(thread)).isZero();
    }

    @Test
    void aPartLeavesTheRest() {
        say("PARTLY", "the load chart", false);
        JsonNode one = detail(thread).path("line").path("awaited").path(0);
        assertThat(one.path("what").asString("")).isEqualTo("the load chart");
        say("ANSWER", "", false);
        assertThat(awaited(thread)).isZero();
    }

    @Test
    void laterMessagesOfThatKindAreNoAnswersEither() {
        String command = say("NO_ANSWER", "", true);
        String second = ask("q2");
        answer("a2", "q2", "We have registered your request no. 4812.");
        assertThat(awaited(second)).isEqualTo(1);
        answer("a3", "q2", "Here is the load chart.");
        assertThat(awaited(second)).as("another message is an answer").isZero();
        String third = ask("q3");
        answer("a4", "q3", "We have registered your request no. 9.");
        assertThat(awaited(third)).isEqualTo(1);
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(awaited(third)).as("taken back for all of them").isZero();
        assertThat(awaited(thread)).isZero();
    }

    @Test
    void whatIsNotTheirsIsRefused() {
        String mine = jdbc.queryForObject(
                "select cast(id as varchar) from message where owner = ? and message_id = 'q1@x.example'",
                String.class,
                me.accountId());
        String path = "/api/threads/" + thread + "/answers/";
        String body = "{\"verdict\":\"NO_ANSWER\",\"missing\":\"\",\"always\":false}";
        assertThat(refusal(me, HttpMethod.PUT, path + mine, body)).contains("You wrote this yourself");
        assertThat(refusal(
                        newAccount(),
                        HttpMethod.PUT,
                        path + given().path("messageId").asString(""),
                        body))
                .contains("no such message");
    }
}
