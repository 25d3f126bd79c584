package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Lists of threads: in groups, and several decided at once. */
class ThreadListsTest extends ServerTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    private SignedIn me;

    @BeforeEach
    void account() {
        me = newAccount();
    }

    private String asked(int minute, String from, String subject, String text) {
        String id = subject.toLowerCase(Locale.ROOT).replace(' ', '-') + "@x.example";
        arrive(me, mail(minute, id, from, subject, "", text, NINE.plusSeconds(60L * minute)));
        return jdbc.queryForObject(
                "select cast(thread_id as varchar) from message where owner = ? and message_id = ?",
                String.class,
                me.accountId(),
                id);
    }

    private JsonNode list(String query) {
        return get(me, "/api/threads?" + query).path("lines");
    }

    private static List<String> rows(JsonNode lines) {
        return lines.valueStream()
                .map(line -> line.path("group").path("title").asString("") + "/"
                        + line.path("group").path("size").asInt(0) + ": "
                        + line.path("subject").asString(""))
                .collect(Collectors.toList());
    }

    @Test
    void standTogetherByPersonWhoeverIsDueFirstFirst() {
        asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        asked(2, "Bob Hale <bob@hale.example>", "Ropes", "Could you send the list by 9 March?");
        asked(3, "Tilda Brandt <tilda@brandt-cranes.example>", "Invoice", "Could you pay it by 20 March?");
        assertThat(rows(list("turn=WITH_ME&by=PERSON")))
                .containsExactly("Bob Hale/1: Ropes", "Tilda Brandt/2: Invoice", "Tilda Brandt/2: Crane");
    }

    @Test
    void standTogetherByAge() {
        asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        arrive(
                me,
                mail(
                        2,
                        "old@x.example",
                        "Bob Hale <bob@hale.example>",
                        "Ropes",
                        "",
                        "Could you send the list?",
                        Instant.parse("2026-02-02T09:00:00Z")));
        assertThat(rows(list("turn=WITH_ME&by=AGE")))
                .containsExactly("Older/1: Ropes", "Up to 2 working days/1: Crane");
    }

    @Test
    void standTogetherByTheCategoryOfTheirFollowUps() {
        asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        String ropes = asked(2, "Bob Hale <bob@hale.example>", "Ropes", "Could you send the list?");
        String category = category("Rigging");
        String name = "Rigging";
        followUp("ropes@x.example", category);
        JsonNode lines = list("turn=WITH_ME&by=CATEGORY");
        assertThat(rows(lines)).containsExactly(name + "/1: Ropes", "/1: Crane");
        assertThat(lines.path(0).path("id").asString("")).isEqualTo(ropes);
        assertThat(lines.path(0).path("categoryId").asString("")).isEqualTo(category);
        assertThat(lines.path(0).path("followUps").asInt(0)).isEqualTo(1);
    }

    private void followUp(String messageId, String category) {
        String id = jdbc.queryForObject(
                "select cast(id as varchar) from message where owner = ? and message_id = ?",
                String.class,
                me.accountId(),
                messageId);
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + id + "/follow-ups/" + UUID.randomUUID(),
                "{\"title\":\"Send it\",\"firm\":false,\"categoryId\":\"" + category + "\",\"forReply\":false}");
    }

    @Test
    void aThreadWithMeInWhichOthersAreAwaitedStandsWithBoth() {
        arrive(me, mine(1, "mine@x.example", "none@x.example", "Could you send me the load chart?", NINE));
        arrive(
                me,
                mail(
                        2,
                        "bob@x.example",
                        "Bob Hale <bob@hale.example>",
                        "Re: Crane",
                        "<mine@x.example>",
                        "Ines, could you send me the plan, too?",
                        NINE.plusSeconds(60)));
        String thread = list("turn=WITH_ME").path(0).path("id").asString("");
        assertThat(thread).isNotEmpty();
        assertThat(list("turn=WITH_OTHERS").path(0).path("id").asString("")).isEqualTo(thread);
        JsonNode counts = get(me, "/api/threads").path("counts");
        assertThat(counts.path("WITH_ME").asInt(0)).isEqualTo(1);
        assertThat(counts.path("WITH_OTHERS").asInt(0)).isEqualTo(1);
    }

    @Test
    void severalAreClosedAtOnceWithTheirFollowUpsAndOneWayBack() {
        String crane = asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        String ropes = asked(2, "Bob Hale <bob@hale.example>", "Ropes", "Could you send the list?");
        followUp("ropes@x.example", category("Rigging"));

        String command = change(
                me,
                HttpMethod.POST,
                "/api/threads/decisions",
                decision("CLOSE", "\"reason\":\"DONE_ELSEWHERE\"", crane, ropes)
                        .replace("\"endFollowUps\":false", "\"endFollowUps\":true"));
        assertThat(get(me, "/api/commands/last").path("last").path("label").asString(""))
                .isEqualTo("Closed as done elsewhere: 2 threads. A follow-up is done");
        assertThat(list("turn=CLOSED").size()).isEqualTo(2);
        assertThat(list("turn=WITH_ME").size()).isZero();
        assertThat(list("turn=WITH_ME&by=PERSON").size()).isZero();
        assertThat(get(me, "/api/follow-ups").path("open").size()).isZero();

        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(list("turn=WITH_ME").size()).isEqualTo(2);
        assertThat(list("turn=WITH_ME&by=PERSON").size()).isEqualTo(2);
        assertThat(get(me, "/api/follow-ups").path("open").size()).isEqualTo(1);
    }

    @Test
    void aDecisionWithoutWhatItNeedsChangesNothing() {
        String crane = asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/threads/decisions",
                        "{\"threadIds\":[\"" + crane + "\"],\"choice\":\"CLOSE\",\"endFollowUps\":false}"))
                .contains("Say why they are closed");
        SignedIn stranger = newAccount();
        assertThat(refusal(
                        stranger,
                        HttpMethod.POST,
                        "/api/threads/decisions",
                        "{\"threadIds\":[\"" + crane
                                + "\"],\"choice\":\"CLOSE\",\"reason\":\"GIVEN_UP\",\"endFollowUps\":false}"))
                .contains("no such thread");
        assertThat(list("turn=WITH_ME").size()).isEqualTo(1);
    }

    private JsonNode closable(int days) {
        return get(me, "/api/threads/closable?days=" + days).path("threads");
    }

    @Test
    void aLastWordProposesToCloseAndSilenceAfterSomeDays() {
        arrive(me, mine(1, "mine@x.example", "none@x.example", "Could you send me the load chart?", NINE));
        arrive(
                me,
                mail(
                        2,
                        "there@x.example",
                        "Tilda Brandt <tilda@brandt-cranes.example>",
                        "Re: Crane",
                        "<mine@x.example>",
                        "The load chart is attached.",
                        NINE.plusSeconds(600)));
        assertThat(closable(10).size()).isZero();
        assertThat(closable(1).path(0).path("words").asString("")).isEqualTo("The load chart is attached.");
        arrive(me, mine(3, "thanks@x.example", "there@x.example", "Thanks, that's all I need.", NINE.plusSeconds(900)));
        JsonNode one = closable(10).path(0);
        assertThat(one.path("mine").asBoolean(false)).isTrue();
        assertThat(one.path("words").asString("")).isEqualTo("Thanks, that's all I need.");
        assertThat(get(me, "/api/threads").path("closable").asInt(0)).isEqualTo(1);
        decide(
                me,
                "CLOSE",
                "\"reason\":\"ANSWERED\"",
                one.path("line").path("id").asString(""));
        assertThat(closable(1).size()).isZero();
        assertThat(get(me, "/api/threads").path("closable").asInt(1)).isZero();
    }

    @Test
    void aThreadThatIsNotForMeOwesNothingAndPassesByIntake() {
        String crane = asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        int waiting = get(me, "/api/intake").path("total").asInt(0);
        String command = decide(me, "NOT_MINE", "", crane);
        assertThat(list("turn=WITH_ME").size()).isZero();
        assertThat(get(me, "/api/intake").path("total").asInt(0)).isEqualTo(waiting - 1);
        arrive(
                me,
                mail(
                        2,
                        "again@x.example",
                        "Tilda Brandt <tilda@brandt-cranes.example>",
                        "Re: Crane",
                        "<crane@x.example>",
                        "Could you send it today, please?",
                        NINE.plusSeconds(3_600)));
        assertThat(list("turn=WITH_ME").size()).isZero();
        assertThat(get(me, "/api/intake").path("total").asInt(0)).isEqualTo(waiting - 1);
        assertThat(list("turn=NOBODY").path(0).path("attention").asString("")).isEqualTo("NOT_MINE");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(list("turn=WITH_ME").size()).isEqualTo(1);
    }

    @Test
    void aWatchedThreadOwesNothingButItsMessagesCome() {
        String crane = asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        int waiting = get(me, "/api/intake").path("total").asInt(0);
        decide(me, "WATCH", "", crane);
        assertThat(list("turn=WITH_ME").size()).isZero();
        assertThat(get(me, "/api/intake").path("total").asInt(0)).isEqualTo(waiting);
        decide(me, "OPEN_AGAIN", "", crane);
        assertThat(list("turn=WITH_ME").size()).isEqualTo(1);
    }

    @Test
    void aWatchedThreadThatIsClosedIsNotMineWhenItsPeopleGoOn() {
        String crane = asked(1, "Tilda Brandt <tilda@brandt-cranes.example>", "Crane", "Could you send the plan?");
        decide(me, "WATCH", "", crane);
        decide(me, "CLOSE", "\"reason\":\"NOT_NEEDED\"", crane);
        assertThat(list("turn=CLOSED").path(0).path("attention").asString("")).isEqualTo("WATCHED");
        arrive(
                me,
                mail(
                        2,
                        "again@x.example",
                        "Tilda Brandt <tilda@brandt-cranes.example>",
                        "Re: Crane",
                        "<crane@x.example>",
                        "Could you send it today?",
                        NINE.plusSeconds(120)));
        assertThat(list("turn=WITH_ME").size()).isZero();
        decide(me, "OPEN_AGAIN", "", crane);
        assertThat(list("turn=WITH_ME").path(0).path("trace").size())
                .as("both of its messages")
                .isEqualTo(2);
    }

    private String category(String name) {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/categories/" + id,
                "{\"name\":\"" + name + "\",\"hue\":\"PLUM\",\"letter\":\"q\",\"replyDays\":null}");
        return id;
    }
}
