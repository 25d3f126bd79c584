package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** What has ended, with its stamps. It is Wednesday, 4 March. */
class RecordTest extends ServerTest {

    private final UUID list = UUID.randomUUID();
    private final UUID bell = UUID.randomUUID();
    private final UUID late = UUID.randomUUID();
    private SignedIn me;

    @BeforeEach
    void threeHaveEnded() {
        me = newAccount();
        arrive(me, mail(1, "q@x.example", "Berth list", "", "Could you send me the berth list?"));
        String message = firstInIntake(me);
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/follow-ups/" + list,
                "{\"title\":\"Send the list\",\"replyDay\":\"2026-03-05\",\"firm\":true}");
        capture(
                me,
                captured(bell, "Polish the bell", ""),
                captured(late, "Ring the pilot", ",\"replyDay\":\"2026-03-02\""));
        for (UUID id : List.of(list, bell, late)) {
            change(
                    me,
                    HttpMethod.POST,
                    "/api/follow-ups/decisions",
                    "{\"ids\":[\"" + id + "\"],\"kind\":\"" + (id.equals(bell) ? "DROP" : "DONE") + "\"}");
        }
    }

    private List<String> titles(String query) {
        return StreamSupport.stream(get(me, "/api/record" + query).path("lines").spliterator(), false)
                .map(line -> line.path("title").asString(""))
                .toList();
    }

    @Test
    void standsWithItsStampsAndTheWayBack() {
        JsonNode line = StreamSupport.stream(
                        get(me, "/api/record").path("lines").spliterator(), false)
                .filter(each -> each.path("id").asString("").equals(list.toString()))
                .findFirst()
                .orElseThrow();
        assertThat(line.path("from").asString("")).isEqualTo("Tilda Brandt");
        assertThat(line.path("stamps").path("onTime").asBoolean(false)).isTrue();
        assertThat(line.path("stamps").path("askedAt").asString("")).startsWith("2026-03-0");
        assertThat(line.path("messageId").isNull()).isFalse();
        assertThat(line.path("endedBy").asString("")).isNotEmpty();
        assertThat(get(newAccount(), "/api/record").path("lines").size()).isZero();
    }

    @Test
    void isNarrowed() {
        assertThat(titles("")).containsExactlyInAnyOrder("Send the list", "Polish the bell", "Ring the pilot");
        assertThat(titles("?state=DROPPED")).containsExactly("Polish the bell");
        assertThat(titles("?onTime=false")).containsExactly("Ring the pilot");
        assertThat(titles("?onTime=true")).containsExactly("Send the list");
        assertThat(titles("?person=tilda@brandt-cranes.example")).containsExactly("Send the list");
        assertThat(titles("?from=2026-03-05")).isEmpty();
        assertThat(titles("?from=2026-03-04&to=2026-03-04")).hasSize(3);
    }

    @Test
    void comesPageByPageEachOnce() {
        List<String> all = new java.util.ArrayList<>();
        String next = "";
        for (int i = 0; i < 4; i++) {
            JsonNode page = get(me, "/api/record?most=1" + next);
            page.path("lines").forEach(line -> all.add(line.path("title").asString("")));
            if (page.path("next").isNull()) {
                break;
            }
            next = "&before=" + page.path("next").path("before").asString("") + "&beforeId="
                    + page.path("next").path("beforeId").asString("");
        }
        assertThat(all).hasSize(3).doesNotHaveDuplicates();
    }

    @Test
    void isAnnotatedAndOtherwiseStays() {
        String command = change(me, HttpMethod.PUT, "/api/record/" + list + "/note", "{\"note\":\"By phone too\"}");
        assertThat(get(me, "/api/record?onTime=true")
                        .path("lines")
                        .path(0)
                        .path("note")
                        .asString(""))
                .isEqualTo("By phone too");
        assertThat(tryChange(newAccount(), HttpMethod.PUT, "/api/record/" + list + "/note", "{\"note\":\"x\"}"))
                .isEmpty();
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(get(me, "/api/record?onTime=true")
                        .path("lines")
                        .path(0)
                        .path("note")
                        .asString("x"))
                .isEmpty();
        int version =
                get(me, "/api/follow-ups/" + list).path("line").path("version").asInt(-1);
        change(me, HttpMethod.POST, "/api/follow-ups/" + list + "/state?state=OPEN&version=" + version, "");
        assertThat(titles("")).doesNotContain("Send the list");
        assertThat(tryChange(me, HttpMethod.PUT, "/api/record/" + list + "/note", "{\"note\":\"x\"}"))
                .as("it is open")
                .isEmpty();
    }

    @Test
    void holdsClosedThreadsAndWhatWasTakenBack() {
        String thread = get(me, "/api/record?state=DONE&person=tilda@brandt-cranes.example")
                .path("lines")
                .path(0)
                .path("threadId")
                .asString("");
        decide(me, "CLOSE", "\"reason\":\"DONE_ELSEWHERE\"", thread);
        JsonNode closed = get(me, "/api/record?kind=THREAD").path("lines").path(0);
        assertThat(closed.path("title").asString("")).isEqualTo("Berth list");
        assertThat(closed.path("closedAs").asString("")).isEqualTo("DONE_ELSEWHERE");
        assertThat(closed.path("from").asString("")).isEqualTo("Tilda Brandt");
        assertThat(titles("")).hasSize(4).startsWith("Berth list");
        assertThat(titles("?kind=FOLLOW_UP")).hasSize(3);
        UUID buoy = UUID.randomUUID();
        capture(me, captured(buoy, "Paint the buoy", ""));
        String command = change(
                me, HttpMethod.POST, "/api/follow-ups/decisions", "{\"ids\":[\"" + buoy + "\"],\"kind\":\"DONE\"}");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        JsonNode undone = get(me, "/api/record").path("lines").path(0);
        assertThat(undone.path("title").asString("")).isEqualTo("Paint the buoy");
        assertThat(undone.path("undoneAt").isNull()).isFalse();
        assertThat(get(newAccount(), "/api/record").path("lines").size()).isZero();
    }

    @Test
    void threadsAndFollowUpsOfOneMomentComeEachOnceOverThePages() {
        String thread = get(me, "/api/record?state=DONE&person=tilda@brandt-cranes.example")
                .path("lines")
                .path(0)
                .path("threadId")
                .asString("");
        decide(me, "CLOSE", "\"reason\":\"ANSWERED\"", thread);
        List<String> all = new java.util.ArrayList<>();
        String next = "";
        for (int i = 0; i < 6; i++) {
            JsonNode page = get(me, "/api/record?most=1" + next);
            page.path("lines").forEach(line -> all.add(line.path("title").asString("")));
            if (page.path("next").isNull()) {
                break;
            }
            next = "&before=" + page.path("next").path("before").asString("") + "&beforeId="
                    + page.path("next").path("beforeId").asString("");
        }
        assertThat(all).hasSize(4).doesNotHaveDuplicates();
    }
}
