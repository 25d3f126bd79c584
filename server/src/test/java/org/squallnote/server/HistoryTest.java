package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** What the history keeps of a change, and what can be taken back after others. */
class HistoryTest extends ServerTest {

    private static final String LONG = "Could you look at this? It is a long story. ".repeat(4_000);

    private SignedIn me;
    private String followUp = "";

    @BeforeEach
    void aFollowUp() {
        me = newAccount();
        arrive(me, mail(1, "m1@x.example", "Story 1", "", LONG));
        followUp = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + messageId(me, "m1@x.example") + "/follow-ups/" + followUp,
                "{\"title\":\"Read\",\"firm\":false}");
    }

    /** Changes the follow-up; answers the command. */
    private String set(String title, String note, boolean done) {
        int version = get(me, "/api/follow-ups/" + followUp)
                .path("line")
                .path("version")
                .asInt(-1);
        return change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + followUp + "?version=" + version,
                "{\"title\":\"" + title
                        + "\",\"firm\":false,\"details\":{\"startDay\":null,\"place\":\"\",\"people\":[],"
                        + "\"checklist\":[{\"text\":\"measure\",\"done\":" + done + "}],\"note\":\"" + note + "\"}}");
    }

    private void undo(String command) {
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
    }

    @Test
    void aChangeIsTakenBackAfterAnotherOneElsewhereInTheSameRow() {
        String title = set("Read it", "", false);
        set("Read it", "on paper", false);
        undo(title);
        assertThat(get(me, "/api/follow-ups/" + followUp)
                        .path("line")
                        .path("title")
                        .asString(""))
                .isEqualTo("Read");
        assertThat(get(me, "/api/follow-ups/" + followUp).path("note").asString(""))
                .isEqualTo("on paper");
    }

    private String last(SignedIn who) {
        return get(who, "/api/commands/last").path("last").path("commandId").asString("none");
    }

    private List<String> ofToday(SignedIn who) {
        List<String> changes = new ArrayList<>();
        for (JsonNode change : get(who, "/api/commands").path("changes")) {
            changes.add(change.path("label").asString("")
                    + (change.path("mine").asBoolean(false) ? "" : " (by itself)")
                    + (change.path("undone").asBoolean(false) ? " (taken back)" : ""));
        }
        return changes;
    }

    @Test
    void theDaysChangesAreListedWithWhatWasTakenBack() {
        String first = set("Read it", "", false);
        set("Read it", "on paper", false);
        undo(first);
        arrive(me, mine(2, "answer@x.example", "m1@x.example", "Here it is.", MONDAY.plusSeconds(7200)));
        List<String> changes = ofToday(me);
        assertThat(changes).contains("Changed: Read it (taken back)", "Changed: Read it");
        assertThat(changes.get(changes.size() - 1)).startsWith("Follow-up: Read");
        assertThat(changes).as("an undo is no entry of its own").noneMatch(each -> each.startsWith("Undone"));
        assertThat(ofToday(newAccount())).isEmpty();
        String today = get(me, "/api/commands").path("day").asString("");
        String yesterday = LocalDate.parse(today).minusDays(1).toString();
        assertThat(get(me, "/api/commands?day=" + yesterday).path("changes")).isEmpty();
    }

    @Test
    void theLastChangeIsKnownToAPageThatWasJustLoaded() {
        String first = set("Read it", "", false);
        String second = set("Read it", "on paper", false);
        assertThat(last(me)).isEqualTo(second);
        undo(second);
        assertThat(last(me)).isEqualTo(first);
        // What happens by itself is not what somebody means who takes back the last change.
        arrive(me, mine(2, "answer@x.example", "m1@x.example", "Here it is.", MONDAY.plusSeconds(7200)));
        assertThat(last(me)).isEqualTo(first);
        assertThat(last(newAccount())).isEqualTo("none");
    }

    @Test
    void aChangeIsNotTakenBackAfterAnotherOneOfTheSame() {
        String first = set("Read it", "", false);
        set("Read it twice", "", false);
        assertThat(refusal(me, HttpMethod.POST, "/api/commands/" + first + "/undo", ""))
                .contains("changed again since");
    }

    @Test
    void aTickIsSmallHoweverManyLongMessagesAreLinked() {
        for (int i = 2; i <= 10; i++) {
            arrive(me, mail(i, "m" + i + "@x.example", "Story " + i, "", LONG));
            change(
                    me,
                    HttpMethod.POST,
                    "/api/follow-ups/" + followUp + "/messages/" + messageId(me, "m" + i + "@x.example"),
                    "");
        }
        set("Read", "", false);
        String tick = set("Read", "", true);
        assertThat(lengthOf(tick)).as("characters of one tick").isLessThan(1_000);
        undo(tick);
        assertThat(get(me, "/api/follow-ups/" + followUp).path("messages")).hasSize(10);
        assertThat(get(me, "/api/follow-ups/" + followUp)
                        .path("checklist")
                        .path(0)
                        .path("done")
                        .asBoolean(true))
                .isFalse();
    }

    @Test
    void aStateOfBeforeAFieldWasThereIsTakenBackToo() {
        String title = set("Read it", "", false);
        // As an earlier version wrote it: whole, and without what has come since.
        for (String side : new String[] {"before_state", "after_state"}) {
            jdbc.update(
                    "update history set state_version = 1, " + side + " = ? where command_id = ?",
                    "{\"title\":\"" + (side.startsWith("before") ? "Read" : "Read it")
                            + "\",\"firm\":false,\"forReply\":false,\"place\":\"\"}",
                    UUID.fromString(title));
        }
        undo(title);
        assertThat(get(me, "/api/follow-ups/" + followUp)
                        .path("line")
                        .path("title")
                        .asString(""))
                .isEqualTo("Read");
    }

    private int lengthOf(String command) {
        Integer length = jdbc.queryForObject(
                "select sum(length(before_state) + length(after_state)) from history where command_id = ?",
                Integer.class,
                UUID.fromString(command));
        return length == null ? -1 : length;
    }
}
