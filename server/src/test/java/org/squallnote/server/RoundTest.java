package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.squallnote.server.account.SignedIn;
import tools.jackson.databind.JsonNode;

/** The weekly walk. It is Wednesday, 4 March. */
class RoundTest extends ServerTest {

    private final UUID bell = UUID.randomUUID();
    private final UUID late = UUID.randomUUID();
    private SignedIn me;

    @Autowired
    private TestClock clock;

    @Autowired
    private JdbcTemplate jdbc;

    @BeforeEach
    void someThingsAreOpen() {
        me = newAccount();
        arrive(me, mail(1, "q@x.example", "Berth list", "", "Could you send me the berth list?"));
        capture(
                me,
                captured(bell, "Polish the bell", ""),
                captured(late, "Ring the pilot", ",\"replyDay\":\"2026-03-02\""),
                captured(UUID.randomUUID(), "Paint the buoy", ",\"replyDay\":\"2026-03-20\""));
    }

    @AfterEach
    void stand() {
        clock.stand();
    }

    private List<JsonNode> lines(String step) {
        return StreamSupport.stream(
                        get(me, "/api/round/lines?step=" + step).path("lines").spliterator(), false)
                .toList();
    }

    private List<String> names(String step) {
        return lines(step).stream().map(line -> line.path("name").asString("")).toList();
    }

    private int left(String step) {
        return StreamSupport.stream(get(me, "/api/round").path("steps").spliterator(), false)
                .filter(each -> each.path("step").asString("").equals(step))
                .findFirst()
                .orElseThrow()
                .path("left")
                .asInt(-1);
    }

    @Test
    void eachStepHasWhatIsOverlookedOfItsKind() {
        assertThat(names("INTAKE")).containsExactly("Berth list");
        assertThat(names("UNDATED")).containsExactly("Polish the bell");
        assertThat(names("LATE")).containsExactly("Ring the pilot");
        assertThat(names("WITH_ME")).containsExactly("Berth list");
        assertThat(lines("WITH_ME").get(0).path("title").asString("")).startsWith("Answer Tilda: Could you send me");
        assertThat(lines("OWED").get(0).path("count").asInt(0)).isEqualTo(1);
        assertThat(left("UNDATED")).isEqualTo(1);
        assertThat(get(me, "/api/round").path("forgotten").asInt(0)).isEqualTo(4);
        assertThat(lines("PUT_OFF")).isEmpty();
        assertThat(get(newAccount(), "/api/round").path("forgotten").asInt(-1)).isZero();
    }

    @Test
    void whatIsDecidedOrKeptIsNoLongerLeftAndComesBackByUndo() {
        assertThat(tryChange(me, HttpMethod.POST, "/api/round/kept", "{\"key\":\"x\",\"name\":\"x\"}"))
                .as("none is under way")
                .isEmpty();
        change(me, HttpMethod.POST, "/api/round", "");
        String key = lines("UNDATED").get(0).path("key").asString("");
        String kept = change(
                me, HttpMethod.POST, "/api/round/kept", "{\"key\":\"" + key + "\",\"name\":\"Polish the bell\"}");
        assertThat(names("UNDATED")).isEmpty();
        change(me, HttpMethod.POST, "/api/commands/" + kept + "/undo", "");
        assertThat(names("UNDATED")).containsExactly("Polish the bell");
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/decisions",
                "{\"ids\":[\"" + bell + "\"],\"kind\":\"REPLY_BY\",\"day\":\"2026-03-10\"}");
        assertThat(names("UNDATED")).isEmpty();
        assertThat(left("LATE")).isEqualTo(1);
    }

    @Test
    void isLeftAndTakenUpAgainAndEnds() {
        change(me, HttpMethod.POST, "/api/round", "");
        change(me, HttpMethod.PUT, "/api/round/step", "{\"step\":\"LATE\"}");
        clock.forward(Duration.ofHours(40));
        JsonNode later = get(me, "/api/round");
        assertThat(later.path("underWay").asBoolean(false)).isTrue();
        assertThat(later.path("step").asString("")).isEqualTo("LATE");
        change(me, HttpMethod.POST, "/api/round/finished", "");
        JsonNode over = get(me, "/api/round");
        assertThat(over.path("underWay").asBoolean(true)).isFalse();
        assertThat(over.path("lastFinishedAt").asString("")).startsWith("2026-03-0");
        assertThat(over.path("step").asString(""))
                .as("the next one begins anew")
                .isEqualTo("INTAKE");
    }

    @Test
    void thousandsOfLinesAreKeptAndAreForgottenWithTheNextWalk() {
        change(me, HttpMethod.POST, "/api/round", "");
        String key = lines("UNDATED").get(0).path("key").asString("");
        jdbc.update(
                "insert into round_kept (owner, id, line) select ?, random_uuid(), 'm:' || x from system_range(1, 5000)",
                me.accountId());
        change(me, HttpMethod.POST, "/api/round/kept", "{\"key\":\"" + key + "\",\"name\":\"Polish the bell\"}");
        change(me, HttpMethod.POST, "/api/round/kept", "{\"key\":\"" + key + "\",\"name\":\"twice, as by two tabs\"}");
        assertThat(names("UNDATED")).isEmpty();
        change(me, HttpMethod.POST, "/api/round/finished", "");
        change(me, HttpMethod.POST, "/api/round", "");
        assertThat(names("UNDATED")).containsExactly("Polish the bell");
        assertThat(jdbc.queryForObject(
                        "select count(*) from round_kept where owner = ?", Integer.class, me.accountId()))
                .isZero();
    }
}
