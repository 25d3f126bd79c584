package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.server.account.SignedIn;

/** The calendar of my own that others read by its secret address. */
class FeedTest extends ServerTest {

    private SignedIn me;
    private String followUp;

    @BeforeEach
    void something() {
        me = newAccount();
        followUp = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[{\"id\":\"" + followUp
                        + "\",\"sentence\":\"\",\"content\":{\"title\":\"Hide the heron\",\"replyDay\":\"2026-03-06\",\"firm\":true,\"effortMinutes\":45}}]}");
        change(me, HttpMethod.POST, "/api/feed", "");
    }

    private String path() {
        return get(me, "/api/feed").path("path").asString("");
    }

    private MvcTestResult read(String path) {
        return call(null, HttpMethod.GET, path, "");
    }

    private static String text(MvcTestResult result) {
        return new String(result.getResponse().getContentAsByteArray(), StandardCharsets.UTF_8);
    }

    @Test
    void whoeverHasTheAddressReadsReplyByDatesAndPlannedTimes() throws Exception {
        change(me, HttpMethod.PUT, "/api/plan/" + followUp + "/start", "{\"day\":\"2026-03-05\",\"at\":\"14:00:00\"}");
        MvcTestResult result = read(path());
        assertThat(result)
                .hasStatus(200)
                .headers()
                .hasHeaderSatisfying(
                        "Content-Type", values -> assertThat(values.get(0)).startsWith("text/calendar"));
        assertThat(text(result))
                .contains(
                        "SUMMARY:Hide the heron",
                        "DTSTART;VALUE=DATE:20260306",
                        "DTSTART:20260305T140000Z",
                        "DURATION:PT45M");
        assertThat(CalendarReader.read(text(result)).objects()).hasSize(2);
    }

    @Test
    void whatHasNotChangedIsNotSentAgain() {
        String etag = String.valueOf(read(path()).getResponse().getHeader("ETag"));
        assertThat(mvc.get().uri(path()).header("If-None-Match", etag).exchange())
                .hasStatus(304);
        change(me, HttpMethod.POST, "/api/follow-ups/" + followUp + "/state?version=0&state=DONE", "");
        MvcTestResult after =
                mvc.get().uri(path()).header("If-None-Match", etag).exchange();
        assertThat(after).hasStatus(200);
        assertThat(text(after)).doesNotContain("heron");
    }

    @Test
    void anAddressThatWasRenewedOrEndedGivesNothing() {
        String before = path();
        change(me, HttpMethod.POST, "/api/feed", "");
        assertThat(path()).isNotEqualTo(before);
        assertThat(read(before)).hasStatus(404);
        assertThat(read(path())).hasStatus(200);
        String last = path();
        change(me, HttpMethod.DELETE, "/api/feed", "");
        assertThat(path()).isEmpty();
        assertThat(read(last)).hasStatus(404);
    }

    @Test
    void itIsMineAloneAndItsTokenLiesNowhereInPlain() {
        assertThat(get(newAccount(), "/api/feed").path("path").isNull()).isTrue();
        String token = path().replaceAll("/feed/(.*)\\.ics", "$1");
        assertThat(token).hasSizeGreaterThan(40);
        assertThat(String.valueOf(jdbc.queryForList("select * from feed where owner = ?", me.accountId())))
                .doesNotContain(token);
    }
}
