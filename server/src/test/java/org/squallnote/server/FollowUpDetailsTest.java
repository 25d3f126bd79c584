package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** What lies behind the sentence, several asks of one message, and captured lines. It is Wednesday 4 March 2026. */
class FollowUpDetailsTest extends ServerTest {

    private SignedIn me;
    private String message = "";

    @BeforeEach
    void aMessageThatAsksThreeThings() {
        me = newAccount();
        arrive(
                me,
                mail(
                        1,
                        "three@x.example",
                        "Regatta",
                        "",
                        "Dear Ines,\n\ncould you send me the berth plan by Friday? Please book the crane by 12 March."
                                + " And do you know who has the key?\n\nTilda"));
        message = messageId(me, "three@x.example");
    }

    private JsonNode post(String path, String body) {
        return json.readTree(call(me, HttpMethod.POST, path, body).getResponse().getContentAsByteArray());
    }

    private static String each(String title, String sentence) {
        return "{\"id\":\"" + UUID.randomUUID() + "\",\"sentence\":\"" + sentence + "\",\"content\":{\"title\":\""
                + title + "\",\"firm\":false}}";
    }

    @Test
    void eachAskHasItsOwnProposal() {
        JsonNode proposals = get(me, "/api/messages/" + message).path("proposals");

        assertThat(proposals.findValuesAsString("replyBy").subList(0, 2)).containsExactly("2026-03-06", "2026-03-12");
        assertThat(proposals.findValuesAsString("title").subList(0, 2))
                .containsExactly("Send Tilda the berth plan", "Book the crane");
        assertThat(proposals).hasSize(3);
    }

    @Test
    void severalAsksBecomeSeveralFollowUpsWithOneUndo() {
        List<String> before = decidedState(me);
        String command = change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups",
                "{\"followUps\":[" + each("Send the plan", "could you send me the berth plan by Friday?") + ","
                        + each("Book the crane", "Please book the crane by 12 March.") + "]}");

        JsonNode open = get(me, "/api/follow-ups").path("open");
        assertThat(open.findValuesAsString("title")).containsExactlyInAnyOrder("Send the plan", "Book the crane");
        assertThat(get(me, "/api/follow-ups/" + open.path(0).path("id").asString(""))
                        .path("messages")
                        .path(0)
                        .path("sentence")
                        .asString(""))
                .isNotEmpty();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(decidedState(me)).isEqualTo(before);
    }

    @Test
    void detailsAreKeptAndLeftAloneByWhoDoesNotSayThem() {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + id,
                "{\"title\":\"Plan\",\"firm\":false,\"details\":{\"startDay\":\"2026-03-09\",\"place\":\" slipway \","
                        + "\"people\":[{\"name\":\"Bo\",\"address\":\"bo@yard.example\"}],"
                        + "\"checklist\":[{\"text\":\"measure\",\"done\":true},{\"text\":\"  \",\"done\":false}],"
                        + "\"note\":\"two copies\"}}");
        change(me, HttpMethod.PUT, "/api/follow-ups/" + id + "?version=0", "{\"title\":\"Plan B\",\"firm\":false}");

        JsonNode detail = get(me, "/api/follow-ups/" + id);
        assertThat(detail.path("line").path("place").asString("")).isEqualTo("slipway");
        assertThat(detail.path("line").path("people").findValuesAsString("name"))
                .containsExactly("Bo");
        assertThat(detail.path("checklist").findValuesAsString("text")).containsExactly("measure");
        assertThat(detail.path("note").asString("")).isEqualTo("two copies");
        JsonNode all = get(me, "/api/follow-ups");
        assertThat(all.path("open")).isEmpty();
        assertThat(all.path("later").findValuesAsString("title")).containsExactly("Plan B");
    }

    @Test
    void aFollowUpOfItsOwnConcernsWhoeverWrote() {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + id,
                "{\"title\":\"Plan\",\"firm\":false}");
        assertThat(get(me, "/api/follow-ups/" + id).path("line").path("people").findValuesAsString("name"))
                .containsExactly("Tilda Brandt");
    }

    @Test
    void aCapturedLineIsUnderstoodAndMade() {
        change(
                me,
                HttpMethod.POST,
                "/api/categories/" + UUID.randomUUID(),
                "{\"name\":\"Crane\",\"hue\":\"CLAY\",\"letter\":null}");
        JsonNode read = post(
                "/api/capture/read",
                "{\"text\":\"call Tilda about the quote by Friday, 15 min, Crane\\n  ask for photos\"}");
        JsonNode item = read.path("items").path(0);
        assertThat(item.path("title").asString("")).isEqualTo("Call Tilda about the quote");
        assertThat(item.path("replyDay").asString("")).isEqualTo("2026-03-06");
        assertThat(item.path("effortMinutes").asInt()).isEqualTo(15);
        assertThat(item.path("categoryId").asString("")).isNotEmpty();
        assertThat(item.path("people").findValuesAsString("name")).containsExactly("Tilda Brandt");
        assertThat(item.path("steps").path(0).asString("")).isEqualTo("ask for photos");

        List<String> before = decidedState(me);
        String command = change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[" + each("One", "") + "," + each("Two", "") + "]}");
        assertThat(get(me, "/api/follow-ups").path("open")).hasSize(2);
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(decidedState(me)).isEqualTo(before);
        assertThat(refusal(me, HttpMethod.POST, "/api/follow-ups", "{\"followUps\":[" + each(" ", "") + "]}"))
                .isNotEmpty();
    }

    @Test
    void whatIMailToMyCaptureAddressBecomesAFollowUp() {
        change204(
                HttpMethod.PUT,
                "/api/preferences",
                "{\"keys\":{},\"captureAddress\":\"ines+todo@merrowquay.example\"}");
        arrive(me, ownMail(7, "mine@x.example", "ines+todo@merrowquay.example", "Fwd: Order rope by 12 March, 10 min"));

        JsonNode line = get(me, "/api/follow-ups").path("open").path(0);
        assertThat(line.path("title").asString("")).isEqualTo("Order rope");
        assertThat(line.path("replyDay").asString("")).isEqualTo("2026-03-12");
        assertThat(line.path("effortMinutes").asInt()).isEqualTo(10);
    }

    private void change204(HttpMethod method, String path, String body) {
        assertThat(call(me, method, path, body).getResponse().getStatus()).isEqualTo(200);
    }
}
