package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** Figures of the record. It is Wednesday, 4 March; mail comes on Monday from nine on. */
class FiguresTest extends ServerTest {

    private SignedIn me;

    @BeforeEach
    void twoAsksOfWhichOneIsAnswered() {
        me = newAccount();
        arrive(me, mail(1, "a@x.example", "Berth list", "", "Could you send me the berth list?"));
        arrive(me, mine(200, "b@x.example", "a@x.example", "Here it is.", MONDAY.plusSeconds(3660)));
        arrive(me, mail(2, "c@x.example", "Tide table", "", "Could you send me the tide table?"));
    }

    private JsonNode figures(String query) {
        return get(me, "/api/record/figures" + query);
    }

    private static JsonNode week(JsonNode weeks, String monday) {
        return StreamSupport.stream(weeks.spliterator(), false)
                .filter(each -> each.path("week").asString("").equals(monday))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void sayHowLongIAndOthersTakeAndWhatCameAndWent() {
        UUID list = UUID.randomUUID();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + firstInIntake(me) + "/follow-ups/" + list,
                "{\"title\":\"Send the table\",\"replyDay\":\"2026-03-05\",\"firm\":true,\"effortMinutes\":20}");
        change(me, HttpMethod.POST, "/api/follow-ups/" + list + "/work", "{\"minutes\":35}");
        change(me, HttpMethod.POST, "/api/follow-ups/decisions", "{\"ids\":[\"" + list + "\"],\"kind\":\"DONE\"}");
        JsonNode found = figures("");
        JsonNode responses = found.path("responses");
        assertThat(responses.path("all").path("count").asInt(0)).isEqualTo(1);
        assertThat(responses.path("all").path("medianMinutes").asInt(0)).isEqualTo(60);
        assertThat(responses.path("unanswered").asInt(0)).isEqualTo(1);
        assertThat(responses
                        .path("byPerson")
                        .path(0)
                        .path("person")
                        .path("address")
                        .asString(""))
                .isEqualTo("tilda@brandt-cranes.example");
        JsonNode week = week(found.path("flow"), "2026-03-02");
        assertThat(week.path("cameIn").asInt(0)).isEqualTo(2);
        assertThat(week.path("ended").asInt(0)).isEqualTo(1);
        assertThat(week(found.path("punctuality").path("byWeek"), "2026-03-02")
                        .path("onTime")
                        .asInt(0))
                .isEqualTo(1);
        assertThat(found.path("efforts").path(0).path("spent").asInt(0)).isEqualTo(35);
        assertThat(found.path("efforts").path(0).path("thought").asInt(0)).isEqualTo(20);
        assertThat(found.path("flow").size()).isEqualTo(13);
    }

    @Test
    void areOfTheDaysAskedForAndOfNobodyElse() {
        assertThat(figures("?from=2026-01-05&to=2026-02-01")
                        .path("responses")
                        .path("unanswered")
                        .asInt(-1))
                .isZero();
        assertThat(call(me, HttpMethod.GET, "/api/record/figures?from=2020-01-01", "")
                        .getResponse()
                        .getStatus())
                .isEqualTo(422);
        JsonNode others = get(newAccount(), "/api/record/figures");
        assertThat(others.path("responses").path("unanswered").asInt(-1)).isZero();
        assertThat(week(others.path("flow"), "2026-03-02").path("cameIn").asInt(-1))
                .isZero();
    }
}
