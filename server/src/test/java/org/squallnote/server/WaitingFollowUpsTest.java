package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Follow-ups that wait for somebody, a thread or a day, and are back on top with what came first. */
class WaitingFollowUpsTest extends ServerTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");
    private static final String BOB = "{\"name\":\"Bob Hale\",\"address\":\"bob@hale.example\"}";

    private SignedIn me;
    private String id;
    private String thread;

    @BeforeEach
    void aFollowUp() {
        me = newAccount();
        arrive(
                me,
                mail(1, "q@x.example", "Tilda <tilda@brandt-cranes.example>", "Crane", "", "Could you send it?", NINE));
        String message = jdbc.queryForObject(
                "select cast(id as varchar) from message where owner = ?", String.class, me.accountId());
        thread = jdbc.queryForObject(
                "select cast(thread_id as varchar) from message where owner = ?", String.class, me.accountId());
        id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + id,
                "{\"title\":\"Send it\",\"firm\":false,\"forReply\":false}");
    }

    private String waitFor(String body) {
        return change(me, HttpMethod.PUT, "/api/follow-ups/" + id + "/waiting?version=" + version(), body);
    }

    private int version() {
        return get(me, "/api/follow-ups/" + id).path("line").path("version").asInt(0);
    }

    private JsonNode list(String which) {
        return get(me, "/api/follow-ups").path(which);
    }

    private void bobWrites(String answers, Instant at) {
        arrive(
                me,
                mail(
                        9,
                        "b" + at.getEpochSecond() + "@x.example",
                        "Bob Hale <bob@hale.example>",
                        answers.isEmpty() ? "Ropes" : "Re: Crane",
                        answers,
                        "The ropes are here.",
                        at));
    }

    @Test
    void isOutOfTheWayAndBackOnTopWithTheAnswer() {
        waitFor("{\"person\":" + BOB + ",\"threadId\":null,\"until\":\"2026-03-09\"}");
        assertThat(list("open").size()).isZero();
        assertThat(list("waiting").path(0).path("waiting").path("until").asString(""))
                .isEqualTo("2026-03-09");
        assertThat(get(me, "/api/today").path("candidates").size()).isZero();

        bobWrites("", Instant.parse("2026-03-04T11:00:00Z"));
        JsonNode back = list("open").path(0);
        assertThat(back.path("back").asBoolean(false)).isTrue();
        assertThat(back.path("waiting").path("come").path("from").asString("")).isEqualTo("Bob Hale");
        assertThat(back.path("waiting").path("come").path("words").asString("")).isEqualTo("The ropes are here.");
        assertThat(get(me, "/api/today").path("candidates").path(0).path("why").asString(""))
                .isEqualTo("HAS_COME");
    }

    @Test
    void whatWasWrittenBeforeDoesNotCount() {
        waitFor("{\"person\":" + BOB + ",\"threadId\":null,\"until\":null}");
        bobWrites("", NINE.plusSeconds(60));
        assertThat(list("waiting").size()).isEqualTo(1);
    }

    @Test
    void anybodyInTheThreadWillDo() {
        waitFor("{\"person\":null,\"threadId\":\"" + thread + "\",\"until\":null}");
        bobWrites("", Instant.parse("2026-03-04T11:00:00Z"));
        assertThat(list("waiting").size()).isEqualTo(1);
        bobWrites("<q@x.example>", Instant.parse("2026-03-04T11:05:00Z"));
        assertThat(list("waiting").size()).isZero();
    }

    @Test
    void isSaidInWords() {
        bobWrites("", NINE.plusSeconds(60));
        JsonNode read = json.readTree(call(
                        me,
                        HttpMethod.POST,
                        "/api/follow-ups/" + id + "/waiting/read",
                        "{\"words\":\"until Bob has answered, at the latest Monday\"}")
                .getResponse()
                .getContentAsByteArray());
        assertThat(read.path("person").path("address").asString("")).isEqualTo("bob@hale.example");
        assertThat(read.path("until").asString("")).isEqualTo("2026-03-09");
        assertThat(read.path("words").asString("")).isEqualTo("until Bob writes, at the latest Mon 9 Mar");
    }

    @Test
    void waitsNoLongerByUndoOrByHand() {
        String command = waitFor("{\"person\":" + BOB + ",\"threadId\":null,\"until\":null}");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(list("open").size()).isEqualTo(1);
        waitFor("{\"person\":" + BOB + ",\"threadId\":null,\"until\":null}");
        waitFor("{\"person\":null,\"threadId\":null,\"until\":null}");
        assertThat(list("open").path(0).path("back").asBoolean(true)).isFalse();
    }

    @Test
    void aDayThatIsOverAndAThreadOfSomebodyElseAreRefused() {
        String path = "/api/follow-ups/" + id + "/waiting?version=" + version();
        assertThat(refusal(me, HttpMethod.PUT, path, "{\"person\":null,\"threadId\":null,\"until\":\"2026-03-04\"}"))
                .contains("after today");
        assertThat(refusal(
                        me,
                        HttpMethod.PUT,
                        path,
                        "{\"person\":null,\"threadId\":\"" + UUID.randomUUID() + "\",\"until\":null}"))
                .contains("no such thread");
        assertThat(refusal(newAccount(), HttpMethod.PUT, path, "{\"person\":" + BOB + "}"))
                .contains("no such follow-up");
    }
}
