package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

class ThreadsTest extends ServerTest {

    private SignedIn me;
    private String thread;

    @BeforeEach
    void aThreadWithMe() {
        me = newAccount();
        arrive(me, mail(1, "a@x.example", "Crane quote", "", "Could you send the plan?"));
        thread = get(me, "/api/threads?turn=WITH_ME")
                .path("lines")
                .path(0)
                .path("id")
                .asString("");
    }

    private JsonNode line() {
        return get(me, "/api/threads/" + thread).path("line");
    }

    private String turn() {
        return line().path("turn").asString("");
    }

    @Test
    void silenceIsCountedInWorkingTime() {
        // Sent on Monday at 09:01, seen on Wednesday at 10:00: two days and 59 minutes of eight hours each.
        assertThat(line().path("silenceWorkingMinutes").asInt(0)).isEqualTo(2 * 480 + 59);
        assertThat(line().path("trace").size()).isEqualTo(1);
    }

    @Test
    void whoWasWrittenToWithoutANameAndWritesWithOneIsOnePerson() {
        arrive(me, mine(7, "b@x.example", "a@x.example", "Which plan?", MONDAY.plusSeconds(600)));

        assertThat(line().path("people").toString()).isEqualTo("[\"Tilda Brandt\"]");
    }

    @Test
    void isClosedWithAReasonAndOpensByHandOrByUndo() {
        String command = decide(me, "CLOSE", "\"reason\":\"DONE_ELSEWHERE\"", thread);
        assertThat(turn()).isEqualTo("CLOSED");
        assertThat(line().path("closedAs").asString("")).isEqualTo("DONE_ELSEWHERE");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(turn()).isEqualTo("WITH_ME");
        decide(me, "CLOSE", "\"reason\":\"ANSWERED\"", thread);
        decide(me, "OPEN_AGAIN", "", thread);
        assertThat(turn()).isEqualTo("WITH_ME");
    }

    @Test
    void opensAgainByItselfAndSaysSo() {
        decide(me, "CLOSE", "\"reason\":\"ANSWERED\"", thread);
        arrive(me, mail(9, "b@x.example", "Re: Crane quote", "<a@x.example>", "One more question?"));

        assertThat(turn()).isEqualTo("WITH_ME");
        assertThat(line().path("openedAgain").asBoolean(false)).isTrue();
        JsonNode newest = get(me, "/api/history/" + thread).path(0);
        assertThat(newest.path("label").asString("")).isEqualTo("Opened again: Tilda Brandt asks something");
        assertThat(newest.path("actor").asString("")).isEqualTo("Squallnote");
    }

    @Test
    void anOlderMessageThatArrivesLateLeavesItClosed() {
        decide(me, "CLOSE", "\"reason\":\"ANSWERED\"", thread);
        arrive(me, mail(0, "older@x.example", "Crane quote", "", "Earlier words"));
        arrive(me, mail(0, "older2@x.example", "Re: Crane quote", "<a@x.example>", "Sent before, seen later"));

        assertThat(turn()).isEqualTo("CLOSED");
    }

    @Test
    void theTurnIsHandedOverOrDropped() {
        decide(me, "THEIR_TURN", "", thread);
        assertThat(turn()).isEqualTo("WITH_OTHERS");
        assertThat(line().path("awaited").path(0).path("name").asString("")).isEqualTo("Tilda Brandt");
        decide(me, "NO_REPLY_OWED", "", thread);
        assertThat(turn()).isEqualTo("NOBODY");
    }

    @Test
    void whatIsDueFirstStandsFirst() {
        arrive(me, mail(11, "c@x.example", "Later", "", "Could you send the rope list by 20 March?"));
        arrive(me, mail(12, "d@x.example", "Sooner", "", "Could you send the berth list by 9 March?"));
        assertThat(get(me, "/api/threads?turn=WITH_ME").path("lines").findValuesAsString("subject"))
                .containsExactly("Sooner", "Later", "Crane quote");
    }

    @Test
    void pagesFollowEachOther() {
        for (int i = 0; i < 105; i++) {
            arrive(me, mail(20 + i, "p" + i + "@x.example", "Subject " + i, "", "Could you?"));
        }
        JsonNode first = get(me, "/api/threads?turn=WITH_ME");
        assertThat(first.path("lines").size()).isEqualTo(100);
        assertThat(first.path("more").asBoolean(false)).isTrue();
        assertThat(get(me, "/api/threads?turn=WITH_ME&offset=100").path("lines").size())
                .isEqualTo(6);
    }
}
