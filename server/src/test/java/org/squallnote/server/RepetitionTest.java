package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** What comes back when it ends. It is Wednesday 4 March 2026. */
class RepetitionTest extends ServerTest {

    private SignedIn me;

    @BeforeEach
    void someone() {
        me = newAccount();
    }

    private String followUp(String repeats, String... more) {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[{\"id\":\"" + id + "\",\"sentence\":\"\",\"repeats\":\"" + repeats
                        + "\",\"content\":{\"title\":\"Read the meters\",\"firm\":false" + String.join("", more)
                        + "}}]}");
        return id;
    }

    private JsonNode line(String id) {
        return get(me, "/api/follow-ups/" + id).path("line");
    }

    private String end(String id, String state) {
        return change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/" + id + "/state?state=" + state + "&version="
                        + line(id).path("version").asInt(),
                "");
    }

    private JsonNode open() {
        JsonNode all = get(me, "/api/follow-ups");
        return json.createArrayNode()
                .addAll(json.convertValue(all.path("open"), tools.jackson.databind.node.ArrayNode.class))
                .addAll(json.convertValue(all.path("later"), tools.jackson.databind.node.ArrayNode.class));
    }

    private JsonNode only() {
        assertThat(open()).hasSize(1);
        return open().path(0);
    }

    @Test
    void theFirstHasTheFirstDayAndTheNextOneComesWhenItEnds() {
        String first = followUp("every second Friday");
        assertThat(line(first).path("replyDay").asString("")).isEqualTo("2026-03-06");
        assertThat(line(first).path("repeats").asBoolean()).isTrue();
        assertThat(get(me, "/api/follow-ups/" + first).path("repeats").asString(""))
                .isEqualTo("every 2 weeks on Friday");
        List<String> before = decidedState(me);
        String command = end(first, "DONE");
        assertThat(only().path("replyDay").asString("")).isEqualTo("2026-03-20");
        assertThat(only().path("startDay").asString(""))
                .as("out of sight until it is near")
                .isEqualTo("2026-03-18");
        assertThat(line(first).path("state").asString("")).isEqualTo("DONE");
        assertThat(line(first).path("repeats").asBoolean()).isFalse();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(decidedState(me)).isEqualTo(before);
        assertThat(only().path("id").asString("")).isEqualTo(first);
        assertThat(line(first).path("repeats").asBoolean()).isTrue();
    }

    @Test
    void itsChecklistIsFreshAndItsMessageStaysBesideIt() {
        arrive(me, mail(1, "meters@x.example", "Meters", "", "Could you read the meters every month?\n\nTilda"));
        String message = messageId(me, "meters@x.example");
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups",
                "{\"followUps\":[{\"id\":\"" + id
                        + "\",\"sentence\":\"\",\"repeats\":\"every month on the 10th\",\"content\":{\"title\":\"Read\","
                        + "\"firm\":false,\"details\":{\"place\":\"quay\",\"people\":[],\"note\":\"the key hangs inside\","
                        + "\"checklist\":[{\"text\":\"north\",\"done\":true}]}}}]}");
        end(id, "DONE");
        JsonNode next = get(me, "/api/follow-ups/" + only().path("id").asString(""));
        assertThat(next.path("line").path("replyDay").asString("")).isEqualTo("2026-04-10");
        assertThat(next.path("checklist").path(0).path("done").asBoolean(true)).isFalse();
        assertThat(next.path("note").asString("")).isEqualTo("the key hangs inside");
        assertThat(next.path("messages").path(0).path("messageId").asString("")).isEqualTo(message);
    }

    @Test
    void onlyThisOneOrAllThatFollowAreChanged() {
        String first = followUp("every week");
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + first + "?version=0",
                "{\"title\":\"Only now\",\"firm\":false,\"replyDay\":\"2026-03-05\"}");
        end(first, "DONE");
        String second = only().path("id").asString("");
        assertThat(line(second).path("title").asString("")).isEqualTo("Read the meters");
        assertThat(line(second).path("replyDay").asString(""))
                .as("the rhythm is that of the rule, not of the day that was moved")
                .isEqualTo("2026-03-11");
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + second + "?version=0&following=true",
                "{\"title\":\"From now on\",\"firm\":false,\"replyDay\":\"2026-03-11\"}");
        end(second, "DROPPED");
        assertThat(only().path("title").asString("")).isEqualTo("From now on");
        assertThat(only().path("replyDay").asString("")).isEqualTo("2026-03-18");
    }

    @Test
    void aSeriesIsEndedAndWhatWasDoneStays() {
        String first = followUp("every week");
        end(first, "DONE");
        String second = only().path("id").asString("");
        String command = change(me, HttpMethod.DELETE, "/api/follow-ups/" + second + "/repetition", "");
        assertThat(line(second).path("repeats").asBoolean()).isFalse();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(line(second).path("repeats").asBoolean()).isTrue();
        change(me, HttpMethod.DELETE, "/api/follow-ups/" + second + "/repetition", "");
        end(second, "DONE");
        assertThat(open()).isEmpty();
        assertThat(get(me, "/api/follow-ups").path("ended")).hasSize(2);
    }

    @Test
    void theLastOneIsSaidToBeTheLast() {
        String only = followUp("every week, 1 times");
        end(only, "DONE");
        assertThat(open()).isEmpty();
        assertThat(get(me, "/api/commands/last").path("last").path("label").asString(""))
                .isEqualTo("Done: Read the meters. That was the last one");
    }

    @Test
    void oneThatIsThereCanComeBackAndChangeItsRhythm() {
        String id = followUp("");
        assertThat(line(id).path("replyDay").isNull()).isTrue();
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + id + "/repetition?version=0",
                "{\"words\":\"last working day of the month\"}");
        assertThat(line(id).path("replyDay").asString("")).isEqualTo("2026-03-31");
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + id + "/repetition?version=1",
                "{\"words\":\"every 3 weeks from when it is done\"}");
        assertThat(line(id).path("replyDay").asString("")).isEqualTo("2026-03-31");
        end(id, "DONE");
        assertThat(only().path("replyDay").asString("")).isEqualTo("2026-03-25");
    }

    @Test
    void aCategoryThatIsGoneKeepsNothingFromComingBack() {
        String category = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/categories/" + category,
                "{\"name\":\"Meters\",\"hue\":\"MOSS\",\"letter\":null}");
        String first = followUp("every week", ",\"categoryId\":\"" + category + "\"");
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + first + "?version=0",
                "{\"title\":\"Read the meters\",\"firm\":false,\"replyDay\":\"2026-03-04\"}");
        jdbc.update("delete from category where id = ?", UUID.fromString(category));
        end(first, "DONE");
        assertThat(only().path("categoryId").isNull()).isTrue();
    }

    @Test
    void whatSaysNoRhythmIsRefusedWithAWord() {
        String id = followUp("");
        String path = "/api/follow-ups/" + id + "/repetition?version=0";
        assertThat(refusal(me, HttpMethod.PUT, path, "{\"words\":\"now and then\"}"))
                .contains("says no rhythm");
        assertThat(refusal(me, HttpMethod.PUT, path, "{\"words\":\"every year on 30 February\"}"))
                .contains("No day is ever like that");
        assertThat(line(id).path("version").asInt()).isZero();
    }

    @Test
    void aRhythmIsReadWhileItIsTyped() {
        JsonNode read = json.readTree(
                call(me, HttpMethod.POST, "/api/repetition/read", "{\"words\":\"every other tues until 30 april\"}")
                        .getResponse()
                        .getContentAsByteArray());
        assertThat(read.path("words").asString("")).isEqualTo("every 2 weeks on Tuesday, until 30 April 2026");
        assertThat(read.path("days").valueStream().map(day -> day.asString("")).toList())
                .containsExactly("2026-03-10", "2026-03-24", "2026-04-07", "2026-04-21");
    }
}
