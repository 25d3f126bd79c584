package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** What I have promised: listed with its sentence, offered as a follow-up, and said before it is broken. */
class PromisesTest extends ServerTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    private SignedIn me;

    @BeforeEach
    void anAskAndAPromise() {
        me = newAccount();
        arrive(
                me,
                mail(
                        1,
                        "q@x.example",
                        "Tilda Brandt <tilda@brandt-cranes.example>",
                        "Berth list",
                        "",
                        "Could you send me the berth list?",
                        NINE));
        arrive(me, mine(2, "p@x.example", "q@x.example", "I'll send it on Tuesday.", NINE.plusSeconds(600)));
    }

    private JsonNode promise() {
        return get(me, "/api/promises").path("open").path(0);
    }

    @Test
    void isListedWithItsSentenceItsDayAndWhatItAnswers() {
        JsonNode one = promise();
        assertThat(one.path("to").asString("")).isEqualTo("Tilda Brandt");
        assertThat(one.path("words").asString("")).contains("send it on Tuesday");
        assertThat(one.path("asked").asString("")).contains("berth list");
        assertThat(one.path("byDay").asString("")).isEqualTo("2026-03-03");
        assertThat(one.path("late").asBoolean(false)).as("today is Wednesday").isTrue();
        assertThat(one.path("title").asString("")).isEqualTo("Send it (for Tilda)");
        assertThat(one.path("followUps").asInt(-1)).isZero();
        assertThat(get(me, "/api/today").path("promisesPressing").asInt(0)).isEqualTo(1);
        assertThat(get(me, "/api/threads").path("promised").asInt(0)).isEqualTo(1);
        assertThat(get(newAccount(), "/api/promises").path("open").size()).isZero();
    }

    @Test
    void aHoldingReplyNamesADayWithRoomAndMovesIt() {
        String draft = promise().path("holding").asString("");
        assertThat(draft)
                .startsWith("Hello Tilda,")
                .contains("on 2 March I wrote")
                .contains("Thursday, 5 March");
        arrive(
                me,
                mine(
                        3,
                        "h@x.example",
                        "q@x.example",
                        draft.replace("\n", "\r\n"),
                        Instant.parse("2026-03-04T09:30:00Z")));
        assertThat(promise().path("byDay").asString("")).isEqualTo("2026-03-05");
        assertThat(promise().path("late").asBoolean(true)).isFalse();
    }

    @Test
    void aFollowUpIsMadeOfItAndKnownThere() {
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + promise().path("messageId").asString("") + "/follow-ups/" + UUID.randomUUID(),
                "{\"title\":\"Send it (for Tilda)\",\"replyDay\":\"2026-03-05\",\"firm\":true}");
        assertThat(promise().path("followUps").asInt(0)).isEqualTo(1);
    }

    @Test
    void comesUpWhileTheDayIsPlannedAndIsGivenAwayWithItsFollowUp() {
        UUID followUp = UUID.randomUUID();
        String message = promise().path("messageId").asString("");
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + followUp,
                "{\"title\":\"Send the list\",\"replyDay\":\"2026-03-20\",\"firm\":true}");
        JsonNode candidate = get(me, "/api/today").path("candidates").path(0);
        assertThat(candidate.path("why").asString("")).isEqualTo("PROMISED");
        assertThat(candidate.path("who").asString("")).isEqualTo("Tilda");
        assertThat(candidate.path("day").asString("")).isEqualTo("2026-03-03");
        String words = "{\"name\":\"Bob\",\"address\":\"bob@merrow.example\",\"text\":\"Please\",\"followUpId\":\"";
        String path = "/api/messages/" + message + "/hand-over";
        assertThat(tryChange(me, HttpMethod.POST, path, words + UUID.randomUUID() + "\"}"))
                .as("no follow-up of that message")
                .isEmpty();
        String command = change(me, HttpMethod.POST, path, words + followUp + "\"}");
        assertThat(get(me, "/api/today").path("candidates").size()).isZero();
        assertThat(get(me, "/api/follow-ups/" + followUp)
                        .path("line")
                        .path("state")
                        .asString(""))
                .isEqualTo("DROPPED");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(get(me, "/api/today").path("candidates").size()).isEqualTo(1);
    }

    @Test
    void isGoneWhenItIsKept() {
        arrive(me, mine(4, "k@x.example", "q@x.example", "The berth list is attached.", NINE.plusSeconds(7_200)));
        assertThat(get(me, "/api/promises").path("open").size()).isZero();
        assertThat(get(me, "/api/today").path("promisesPressing").asInt(1)).isZero();
    }

    @Test
    void isGoneWhenItsThreadIsClosed() {
        decide(
                me,
                "CLOSE",
                "\"reason\":\"NOT_NEEDED\"",
                promise().path("threadId").asString(""));
        assertThat(get(me, "/api/promises").path("open").size()).isZero();
    }
}
