package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.Rebuild;
import tools.jackson.databind.JsonNode;

/** The engine at work: what was read decides heaps, turns and follow-ups, and can be corrected. */
class ReadingTest extends ServerTest {

    private static final Instant TUESDAY = Instant.parse("2026-03-03T09:00:00Z");

    @Autowired
    Rebuild rebuild;

    private SignedIn me;
    private String message;

    @BeforeEach
    void aMessageThatAsks() {
        me = newAccount();
        arrive(me, mail(1, "a@x.example", "Crane", "", "Hi Ines,\n\ncould you send me the crane plan by Thursday?"));
        message = messageId(me, "a@x.example");
    }

    @Test
    void anAskIsMarkedWithItsDateAndBothSayWhy() {
        JsonNode view = get(me, "/api/messages/" + message);
        String own = view.path("ownWords").asString("");
        JsonNode ask = view.path("reading").path("marks").path(0);
        JsonNode date = view.path("reading").path("marks").path(1);

        assertThat(ask.path("kind").asString("")).isEqualTo("ASK");
        assertThat(words(own, ask)).isEqualTo("could you send me the crane plan by Thursday?");
        assertThat(words(own, date)).isEqualTo("by Thursday");
        assertThat(date.path("why").asString("")).isEqualTo("Thu 5 Mar, firm, as in “Please send it by Friday.”");
        JsonNode proposal = view.path("proposal");
        assertThat(proposal.path("title").asString("")).isEqualTo("Send Tilda the crane plan");
        assertThat(proposal.path("replyBy").asString("")).isEqualTo("2026-03-05");
        assertThat(proposal.path("replyByReason").asString("")).isEqualTo("\u201cby Thursday\u201d");
        assertThat(proposal.path("forReply").asBoolean()).isTrue();
        JsonNode line = get(me, "/api/intake").path("lines").path(0);
        assertThat(line.path("replyDay").asString("")).isEqualTo("2026-03-05");
        JsonNode debt = get(me, "/api/threads?turn=WITH_ME")
                .path("lines")
                .path(0)
                .path("debts")
                .path(0);
        assertThat(debt.path("byDay").asString("")).isEqualTo("2026-03-05");
        assertThat(debt.path("what").asString("")).contains("crane plan");
    }

    private static String words(String text, JsonNode mark) {
        return text.substring(mark.path("from").asInt(), mark.path("to").asInt());
    }

    @Test
    void whatIsPromisedSaysByWhichRuleAndWhatIsForOneselfIsNotMarked() {
        String text = "Hi Ines,\n\nI'll send you the drawing on Friday.\n\nThe plan I'll read it on the train.";
        arrive(me, mail(2, "b@x.example", "Drawing", "", text));
        JsonNode view = get(me, "/api/messages/" + messageId(me, "b@x.example"));
        JsonNode marks = view.path("reading").path("marks");

        assertThat(marks.size()).isEqualTo(1);
        assertThat(marks.path(0).path("kind").asString("")).isEqualTo("PROMISE");
        assertThat(words(view.path("ownWords").asString(""), marks.path(0)))
                .isEqualTo("I'll send you the drawing on Friday.");
        assertThat(marks.path(0).path("why").asString("")).isEqualTo("a promise, as in \u201cI'll do it.\u201d");
    }

    @Test
    void aFollowUpEndsWhenMyAnswerIsSeenAndUndoOpensItAgain() {
        String followUp = followUp(true);
        arrive(me, mine(2, "b@x.example", "a@x.example", "Here it is.", TUESDAY));

        JsonNode view = get(me, "/api/follow-ups/" + followUp);
        assertThat(view.path("line").path("state").asString("")).isEqualTo("DONE");
        JsonNode said = get(me, "/api/history/" + followUp).path(0);
        assertThat(said.path("label").asString("")).isEqualTo("Done, since your answer was seen: Send the plan");
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines")).isEmpty();

        change(me, HttpMethod.POST, "/api/commands/" + said.path("commandId").asString("") + "/undo", "");
        assertThat(get(me, "/api/follow-ups/" + followUp)
                        .path("line")
                        .path("state")
                        .asString(""))
                .isEqualTo("OPEN");
    }

    @Test
    void aPromiseMovesTheFollowUpAndIsStillOwed() {
        String followUp = followUp(true);
        arrive(me, mine(2, "b@x.example", "a@x.example", "Looking into it, I'll send it on Friday.", TUESDAY));

        JsonNode line = get(me, "/api/follow-ups/" + followUp).path("line");
        assertThat(line.path("state").asString("")).isEqualTo("OPEN");
        assertThat(line.path("replyDay").asString("")).isEqualTo("2026-03-06");
        JsonNode debt = get(me, "/api/threads?turn=WITH_ME")
                .path("lines")
                .path(0)
                .path("debts")
                .path(0);
        assertThat(debt.path("byDay").asString("")).isEqualTo("2026-03-06");
    }

    @Test
    void thanksAloneAndAQuestionBackEndNothing() {
        String followUp = followUp(true);
        arrive(me, mine(2, "b@x.example", "a@x.example", "Thanks!", TUESDAY));
        assertThat(state(followUp)).isEqualTo("OPEN");
        arrive(me, mine(3, "c@x.example", "a@x.example", "Which pontoon do you mean?", TUESDAY.plusSeconds(60)));
        assertThat(state(followUp)).isEqualTo("OPEN");
    }

    @Test
    void anotherFollowUpAsksWhetherItIsDone() {
        String followUp = followUp(false);
        arrive(me, mine(2, "b@x.example", "a@x.example", "Here it is.", TUESDAY));

        assertThat(state(followUp)).isEqualTo("OPEN");
        assertThat(get(me, "/api/follow-ups/" + followUp)
                        .path("line")
                        .path("answerSeen")
                        .asBoolean())
                .isTrue();
    }

    private String state(String followUp) {
        return get(me, "/api/follow-ups/" + followUp).path("line").path("state").asString("");
    }

    private String followUp(boolean forReply) {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + id,
                "{\"title\":\"Send the plan\",\"firm\":true,\"replyDay\":\"2026-03-05\",\"forReply\":" + forReply
                        + "}");
        return id;
    }

    @Test
    void whatIsSaidAboutASenderHoldsForWhatComesLater() {
        List<String> before = decidedState(me);
        String command = change(me, HttpMethod.POST, "/api/messages/" + message + "/asks?asks=NEVER&always=true", "");
        assertThat(heap(0)).isEqualTo("TO_READ");
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines")).isEmpty();
        arrive(me, mail(7, "later@x.example", "Hoist", "", "Could you ring me today?"));
        assertThat(heap(0)).isEqualTo("TO_READ");
        assertThat(heap(1)).isEqualTo("TO_READ");

        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(heap(0)).isEqualTo("ASKS_YOU");
        assertThat(heap(1)).isEqualTo("ASKS_YOU");
        assertThat(decidedState(me)).containsAll(before);
    }

    @Test
    void whatIsSaidAboutOneMessageHoldsForIt() {
        List<String> before = decidedState(me);
        String command = change(me, HttpMethod.POST, "/api/messages/" + message + "/asks?asks=NEVER&always=false", "");
        assertThat(heap(0)).isEqualTo("TO_READ");
        assertThat(get(me, "/api/messages/" + message)
                        .path("reading")
                        .path("asksWhy")
                        .asString(""))
                .isEqualTo("you said so");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(decidedState(me)).isEqualTo(before);
    }

    @Test
    void aWayToAskThatMisledIsNamedAndCanBeTakenForNone() {
        change(me, HttpMethod.POST, "/api/messages/" + message + "/asks?asks=NEVER&always=false", "");
        JsonNode way = get(me, "/api/ways-to-ask").path(0);
        assertThat(way.path("way").asString("")).isEqualTo("request.modal-you");
        assertThat(way.path("example").asString("")).isEqualTo("Could you send me the list?");
        assertThat(way.path("overruled").asInt()).isEqualTo(1);
        assertThat(way.path("unheard").asBoolean()).isFalse();
        assertThat(get(newAccount(), "/api/ways-to-ask")).isEmpty();
        assertThat(get(me, "/api/history/" + message).path(0).path("label").asString(""))
                .endsWith("; it was read as in “Could you send me the list?”");

        String command = hear("request.modal-you", false);
        assertThat(get(me, "/api/ways-to-ask").path(0).path("unheard").asBoolean())
                .isTrue();
        assertThat(get(me, "/api/party-rules")).isEmpty();
        arrive(me, mail(7, "later@x.example", "Hoist", "", "Could you ring me today?"));
        arrive(me, mail(8, "other@x.example", "Lift", "", "Please ring me today."));
        assertThat(asksMe("later@x.example")).isFalse();
        assertThat(asksMe("other@x.example")).isTrue();

        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        rebuild.run(me.accountId());
        assertThat(asksMe("later@x.example")).isTrue();
    }

    @Test
    void aQuestionTakenForNoneLeavesTheRequestInIt() {
        hear("question.question", false);
        arrive(me, mail(7, "request@x.example", "Hoist", "", "Could you ring me today?"));
        arrive(me, mail(8, "question@x.example", "Lift", "", "Which day suits you?"));
        assertThat(asksMe("request@x.example")).isTrue();
        assertThat(asksMe("question@x.example")).isFalse();
        hear("question.question", true);
        assertThat(get(me, "/api/ways-to-ask")).isEmpty();
    }

    private String hear(String way, boolean heard) {
        return change(me, HttpMethod.PUT, "/api/ways-to-ask", "{\"way\":\"" + way + "\",\"heard\":" + heard + "}");
    }

    private boolean asksMe(String identity) {
        return get(me, "/api/messages/" + messageId(me, identity))
                .path("asksMe")
                .asBoolean();
    }

    private String heap(int line) {
        return get(me, "/api/intake").path("lines").path(line).path("heap").asString("");
    }

    @Test
    void anotherCalendarReadsAgain() {
        arrive(me, mail(2, "b@x.example", "Quay", "", "Please send it within two working days."));
        String quay = messageId(me, "b@x.example");
        assertThat(replyDay(quay)).isEqualTo("2026-03-04");
        assertThat(storedReplyDay(quay)).isEqualTo("2026-03-04");
        change(me, HttpMethod.PUT, "/api/settings/working-time", """
                {"nicknames":[],"monthFirst":false,"region":"gb-eng","daysOff":["2026-03-03"],"replyDays":3,
                 "week":[{"day":"MONDAY","from":"09:00","to":"17:00"},{"day":"TUESDAY","from":"09:00","to":"17:00"},
                         {"day":"WEDNESDAY","from":"09:00","to":"17:00"},{"day":"THURSDAY","from":"09:00","to":"12:00"}]}
                """);
        // The background may have begun with it already; what counts is where it ends.
        while (rebuild.outdated(me.accountId()) > 0) {
            rebuild.readSome(me.accountId());
        }
        assertThat(storedReplyDay(quay)).isEqualTo("2026-03-05");
        assertThat(replyDay(quay)).isEqualTo("2026-03-05");
    }

    private String storedReplyDay(String id) {
        return String.valueOf(jdbc.queryForObject(
                "select reply_day from message where id = ?", java.sql.Date.class, UUID.fromString(id)));
    }

    private String replyDay(String id) {
        return get(me, "/api/messages/" + id).path("proposal").path("replyBy").asString("");
    }

    @Test
    void whatIsRebuiltIsWhatWasThere() {
        arrive(me, mine(2, "b@x.example", "a@x.example", "Will do, tomorrow.", TUESDAY));
        List<String> before = decidedState(me);
        jdbc.update("update reading set version = 'old' where owner = ?", me.accountId());
        rebuild.run(me.accountId());
        assertThat(decidedState(me)).isEqualTo(before);
    }
}
