package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.Rebuild;

/** Threads are split and joined by hand; what arrives later follows, and nothing is lost when all is rebuilt. */
class SplitsAndJoinsTest extends ServerTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    @Autowired
    private Rebuild rebuild;

    private SignedIn me;

    @BeforeEach
    void aThreadOfThree() {
        me = newAccount();
        tilda(1, "a", "", "Crane", "Could you send the plan?");
        arrive(me, mine(2, "b@x.example", "a@x.example", "The plan is attached.", NINE.plusSeconds(120)));
        tilda(3, "c", "<a@x.example> <b@x.example>", "Re: Crane", "By the way, could you order ropes?");
    }

    private void tilda(int minute, String id, String references, String subject, String text) {
        arrive(
                me,
                mail(
                        minute,
                        id + "@x.example",
                        "Tilda Brandt <tilda@brandt-cranes.example>",
                        subject,
                        references,
                        text,
                        NINE.plusSeconds(60L * minute)));
    }

    private String column(String what, String id) {
        return jdbc.queryForObject(
                "select cast(" + what + " as varchar) from message where owner = ? and message_id = ?",
                String.class,
                me.accountId(),
                id + "@x.example");
    }

    private String thread(String id) {
        return column("thread_id", id);
    }

    private String split(String id) {
        return change(me, HttpMethod.POST, "/api/threads/" + thread(id) + "/split/" + column("id", id), "");
    }

    private String join(String... ids) {
        return change(
                me,
                HttpMethod.POST,
                "/api/threads/join",
                "{\"threadIds\":[\""
                        + String.join(
                                "\",\"", List.of(ids).stream().map(this::thread).toList()) + "\"]}");
    }

    private int threads() {
        return jdbc.queryForObject("select count(*) from thread where owner = ?", Integer.class, me.accountId());
    }

    @Test
    void aSplitThreadHasItsOwnTurnAndTakesLaterAnswersAlong() {
        split("c");
        assertThat(thread("c")).isNotEqualTo(thread("a"));
        assertThat(get(me, "/api/threads/" + thread("c"))
                        .path("line")
                        .path("turn")
                        .asString(""))
                .isEqualTo("WITH_ME");
        assertThat(get(me, "/api/threads/" + thread("a"))
                        .path("line")
                        .path("turn")
                        .asString(""))
                .isEqualTo("NOBODY");
        tilda(4, "d", "<a@x.example> <b@x.example> <c@x.example>", "Re: Crane", "Ten metres of it.");
        tilda(5, "e", "<a@x.example> <b@x.example>", "Re: Crane", "Thanks for the plan!");
        assertThat(thread("d")).isEqualTo(thread("c"));
        assertThat(thread("e")).isEqualTo(thread("a"));

        String before = thread("c");
        rebuild.run(me.accountId());
        assertThat(thread("c")).as("rebuilt it is the same").isEqualTo(before);
        assertThat(thread("d")).isEqualTo(before);
        assertThat(threads()).isEqualTo(2);
    }

    @Test
    void aSplitIsTakenBack() {
        String command = split("c");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(thread("c")).isEqualTo(thread("a"));
        assertThat(threads()).isEqualTo(1);
    }

    @Test
    void joinedThreadsAreOneAndTakeLaterAnswersOfBothAlong() {
        tilda(10, "n", "", "Ropes again", "Which rope was it?");
        assertThat(thread("n")).isNotEqualTo(thread("a"));
        String command = join("a", "n");
        assertThat(thread("n")).isEqualTo(thread("a"));
        assertThat(get(me, "/api/threads/" + thread("a")).path("messages").size())
                .isEqualTo(4);
        tilda(11, "o", "<n@x.example>", "Re: Ropes again", "The thick one, was it not?");
        assertThat(thread("o")).isEqualTo(thread("a"));
        rebuild.run(me.accountId());
        assertThat(thread("o")).isEqualTo(thread("a"));
        assertThat(threads()).isEqualTo(1);

        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(thread("n")).isNotEqualTo(thread("a"));
        assertThat(thread("o")).isEqualTo(thread("n"));
        assertThat(jdbc.queryForObject(
                        "select count(*) from thread_party where owner = ? and thread_id not in (select id from thread)",
                        Integer.class,
                        me.accountId()))
                .as("nothing is left of threads that are gone")
                .isZero();
    }

    @Test
    void whatWasSplitIsJoinedAgain() {
        split("c");
        join("a", "c");
        assertThat(thread("c")).isEqualTo(thread("a"));
        rebuild.run(me.accountId());
        assertThat(thread("c")).isEqualTo(thread("a"));
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThat(refusal(me, HttpMethod.POST, "/api/threads/" + thread("a") + "/split/" + column("id", "a"), ""))
                .contains("begins with this message already");
        assertThat(refusal(
                        newAccount(),
                        HttpMethod.POST,
                        "/api/threads/" + thread("a") + "/split/" + column("id", "c"),
                        ""))
                .contains("no such thread");
    }
}
