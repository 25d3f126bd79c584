package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.calendar.Calendars;
import org.squallnote.server.files.FileImport;
import tools.jackson.databind.JsonNode;

/** Today and Ahead. The clock stands just after ten on Wednesday 4 March 2026. */
class PlanTest extends ServerTest {

    private static final String CALENDAR = """
            BEGIN:VCALENDAR
            VERSION:2.0
            X-WR-CALNAME:Office
            BEGIN:VEVENT
            UID:surveyor@merrowquay.example
            SUMMARY:Surveyor
            LOCATION:Slipway
            DTSTART;TZID=Europe/London:20260304T110000
            DTEND;TZID=Europe/London:20260304T130000
            END:VEVENT
            BEGIN:VEVENT
            UID:crew@merrowquay.example
            SUMMARY:Crew round
            DTSTART;TZID=Europe/London:20260302T090000
            DURATION:PT30M
            RRULE:FREQ=WEEKLY;BYDAY=MO,TH
            END:VEVENT
            END:VCALENDAR
            """.replace("\n", "\r\n");

    @Autowired
    private FileImport files;

    @Autowired
    private Calendars calendars;

    private SignedIn me;

    @BeforeEach
    void account() {
        me = newAccount();
    }

    private String followUp(String title, String day, boolean firm, int minutes) {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[{\"id\":\"" + id + "\",\"sentence\":\"\",\"content\":{\"title\":\"" + title
                        + "\",\"replyDay\":" + (day.isEmpty() ? "null" : "\"" + day + "\"") + ",\"firm\":" + firm
                        + ",\"effortMinutes\":" + minutes + "}}]}");
        return id;
    }

    private String plan(String day, String... ids) {
        List<String> wishes = java.util.Arrays.stream(ids)
                .map(id -> "{\"followUpId\":\"" + id + "\",\"day\":\"" + day + "\"}")
                .toList();
        return change(me, HttpMethod.POST, "/api/plan", "{\"wishes\":[" + String.join(",", wishes) + "]}");
    }

    private JsonNode today() {
        return get(me, "/api/today");
    }

    private List<String> titles(String list) {
        return today().path(list).findValuesAsString("title");
    }

    private void undo(String command) {
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
    }

    private FileImport.Result take(String calendar) throws java.io.IOException {
        return files.run(
                me.accountId(),
                new java.io.ByteArrayInputStream(calendar.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
    }

    @Test
    void whatCouldBeDoneComesUpInOrderWithItsReason() {
        followUp("Undated", "", false, 15);
        followUp("Later", "2026-03-12", false, 15);
        followUp("Due", "2026-03-04", false, 15);
        followUp("Alarm", "2026-03-03", true, 15);
        assertThat(titles("candidates")).containsExactly("Alarm", "Due", "Later", "Undated");
        assertThat(today().path("candidates").findValuesAsString("why"))
                .containsExactly("LATE_FIRM", "DUE_TODAY", "DUE_LATER", "UNDATED");
        assertThat(today().path("pressing").asInt()).isEqualTo(2);
    }

    @Test
    void intoTheDayAndOutAgainAndTakenBack() {
        String id = followUp("Due", "2026-03-04", false, 30);
        String command = plan("2026-03-04", id);
        assertThat(titles("entries")).containsExactly("Due");
        assertThat(titles("candidates")).isEmpty();
        assertThat(today().path("plannedMinutes").asInt()).isEqualTo(30);
        change(me, HttpMethod.POST, "/api/plan/out", "{\"ids\":[\"" + id + "\"]}");
        assertThat(titles("entries")).isEmpty();
        plan("2026-03-04", id);
        assertThat(titles("entries")).containsExactly("Due");
        undo(command);
        assertThat(titles("entries")).as("it was planned again since").isEmpty();
    }

    @Test
    void meetingsLeaveLessOfTheDayAndTheUnforeseenIsKept() throws Exception {
        assertThat(today().path("freeMinutes").asInt()).isEqualTo(419);
        assertThat(today().path("roomMinutes").asInt()).isEqualTo(335);
        FileImport.Result result = take(CALENDAR);
        assertThat(result.added()).isEqualTo(2);
        assertThat(today().path("freeMinutes").asInt()).isEqualTo(299);
        assertThat(today().path("meetings").findValuesAsString("title")).containsExactly("Surveyor");
        assertThat(today().path("meetings").path(0).path("fromMinute").asInt()).isEqualTo(660);
        assertThat(take(CALENDAR).known()).isEqualTo(2);
        take(CALENDAR.replace("T130000", "T120000"));
        assertThat(today().path("freeMinutes").asInt()).isEqualTo(359);
    }

    @Test
    void whatIsWorkedOutAgainIsTheSame() throws Exception {
        take(CALENDAR);
        String query = "select href, title, starts_at, ends_at, opaque from meeting where owner = ? order by 1, 3";
        List<Map<String, Object>> before = jdbc.queryForList(query, me.accountId());
        assertThat(before).hasSizeGreaterThan(50);
        calendars.workOutAgain(me.accountId());
        assertThat(jdbc.queryForList(query, me.accountId())).isEqualTo(before);
    }

    @Test
    void anotherZoneWorksTheTimesOutAnew() throws Exception {
        take(CALENDAR.replace(";TZID=Europe/London", ""));
        assertThat(today().path("meetings").path(0).path("fromMinute").asInt()).isEqualTo(660);
        jdbc.update("update account set zone = 'Europe/Berlin' where id = ?", me.accountId());
        me = new SignedIn(me.accountId(), me.name(), "Europe/Berlin", false);
        assertThat(today().path("meetings").path(0).path("fromMinute").asInt()).isEqualTo(660);
    }

    @Test
    void aCalendarThatIsOnlyShownOrHiddenTakesNoTime() throws Exception {
        take(CALENDAR);
        JsonNode calendar = get(me, "/api/calendars").path(0);
        assertThat(calendar.path("name").asString("")).isEqualTo("Office");
        String path = "/api/calendars/" + calendar.path("id").asString("") + "?version=";
        String command = change(me, HttpMethod.PUT, path + 0, "{\"name\":\"Office\",\"counts\":\"SHOWN\"}");
        assertThat(today().path("freeMinutes").asInt()).isEqualTo(419);
        assertThat(today().path("meetings").size()).isEqualTo(1);
        assertThat(refusal(me, HttpMethod.PUT, path + 0, "{\"name\":\"Office\",\"counts\":\"HIDDEN\"}"))
                .contains("409");
        undo(command);
        assertThat(today().path("freeMinutes").asInt()).isEqualTo(299);
        change(me, HttpMethod.PUT, path + 2, "{\"name\":\"Office\",\"counts\":\"HIDDEN\"}");
        assertThat(today().path("meetings").size()).isZero();
    }

    @Test
    void whatNeedsTimeAroundAMeetingLeavesLess() throws Exception {
        take(CALENDAR);
        JsonNode form = get(me, "/api/settings/working-time").path("form");
        String more = String.valueOf(form).replace("\"minutesAround\":0", "\"minutesAround\":15");
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/working-time",
                more.replace("\"marginPercent\":20", "\"marginPercent\":0"));
        assertThat(today().path("freeMinutes").asInt()).isEqualTo(269);
        assertThat(today().path("roomMinutes").asInt()).isEqualTo(269);
    }

    @Test
    void theOrderIsMineAndBandsAreToo() {
        String a = followUp("A", "2026-03-04", false, 15);
        String b = followUp("B", "2026-03-05", false, 15);
        String c = followUp("C", "2026-03-06", false, 15);
        plan("2026-03-04", a, b, c);
        assertThat(titles("entries")).containsExactly("A", "B", "C");
        change(
                me,
                HttpMethod.PUT,
                "/api/plan/order",
                "{\"day\":\"2026-03-04\",\"band\":\"LATER\",\"inOrder\":[\"" + c + "\",\"" + a + "\"]}");
        assertThat(titles("entries")).containsExactly("C", "A", "B");
        String command = change(
                me,
                HttpMethod.PUT,
                "/api/plan/order",
                "{\"day\":\"2026-03-04\",\"band\":\"NOW\",\"inOrder\":[\"" + b + "\"]}");
        assertThat(titles("entries")).containsExactly("B", "C", "A");
        undo(command);
        assertThat(titles("entries")).containsExactly("C", "A", "B");
    }

    @Test
    void tooMuchStandsAboveTheRimAndMovesAreAcceptedAsOne() {
        String firm = followUp("Firm", "2026-03-06", true, 300);
        String loose = followUp("Loose", "2026-03-06", false, 100);
        plan("2026-03-04", firm, loose);
        JsonNode day = today();
        assertThat(day.path("overMinutes").asInt()).isEqualTo(65);
        JsonNode move = day.path("moves").path(0);
        assertThat(day.path("moves").size()).isEqualTo(1);
        assertThat(move.path("title").asString("")).isEqualTo("Loose");
        assertThat(move.path("to").asString("")).isEqualTo("2026-03-05");
        String command = plan("2026-03-05", loose);
        assertThat(today().path("overMinutes").asInt()).isZero();
        undo(command);
        assertThat(today().path("overMinutes").asInt()).isEqualTo(65);
    }

    @Test
    void theClockRunsForOneAtATimeAndStopsWithIt() {
        String a = followUp("A", "2026-03-04", false, 15);
        String b = followUp("B", "2026-03-04", false, 15);
        plan("2026-03-04", a, b);
        change(me, HttpMethod.POST, "/api/follow-ups/" + a + "/work/start", "");
        assertThat(refusal(me, HttpMethod.POST, "/api/follow-ups/" + a + "/work/start", ""))
                .contains("409");
        change(me, HttpMethod.POST, "/api/follow-ups/" + b + "/work/start", "");
        assertThat(today().path("entries").findValuesAsString("underWay")).containsExactly("false", "true");
        assertThat(refusal(me, HttpMethod.POST, "/api/follow-ups/" + a + "/work/stop", ""))
                .contains("409");
        change(me, HttpMethod.POST, "/api/follow-ups/" + b + "/state?version=0&state=DONE", "");
        assertThat(today().path("entries").findValuesAsString("underWay")).containsExactly("false");
        assertThat(today().path("done").findValuesAsString("title")).containsExactly("B");
        change(me, HttpMethod.POST, "/api/follow-ups/" + a + "/work", "{\"minutes\":10}");
        assertThat(today().path("entries").path(0).path("minutesLeft").asInt()).isEqualTo(5);
        assertThat(today().path("spentMinutes").asInt()).isEqualTo(10);
    }

    @Test
    void aheadSaysUntilWhenItFitsAndWhatHasNoDay() {
        followUp("Shelf", "", false, 15);
        followUp("Big", "2026-03-05", true, 700);
        followUp("Bigger", "2026-03-06", false, 500);
        JsonNode ahead = get(me, "/api/ahead?days=5");
        assertThat(ahead.path("days").findValuesAsString("day"))
                .containsExactly("2026-03-04", "2026-03-05", "2026-03-06", "2026-03-09", "2026-03-10");
        assertThat(ahead.path("shelf").findValuesAsString("title")).containsExactly("Shelf");
        assertThat(ahead.path("fitsUntil").asString("")).isEqualTo("2026-03-05");
        assertThat(ahead.path("shortFrom").asString("")).isEqualTo("2026-03-06");
        assertThat(ahead.path("shortMinutes").asInt()).isEqualTo(1200 - 335 - 2 * 384);
        assertThat(ahead.path("stuck").size()).isEqualTo(2);
        assertThat(refusal(me, HttpMethod.GET, "/api/ahead?days=900", "")).contains("400");
    }

    @Test
    void puttingOffNeverPassesAFirmDateSilently() {
        String id = followUp("Firm", "2026-03-06", true, 15);
        String path = "/api/follow-ups/" + id + "/put-off?version=0&until=";
        assertThat(refusal(me, HttpMethod.POST, path + "2026-03-09", "")).contains("firm for");
        assertThat(refusal(me, HttpMethod.POST, path + "2026-03-04", "")).contains("after today");
        change(me, HttpMethod.POST, path + "2026-03-06", "");
        assertThat(titles("candidates")).isEmpty();
        change(me, HttpMethod.POST, path.replace("version=0", "version=1") + "2026-03-09&pastReplyBy=true", "");
        change(me, HttpMethod.PUT, "/api/follow-ups/" + id + "/priority?version=2&priority=HIGH", "");
        JsonNode later = get(me, "/api/follow-ups").path("later").path(0);
        assertThat(later.path("startDay").asString("")).isEqualTo("2026-03-09");
        assertThat(later.path("replyDay").asString("")).isEqualTo("2026-03-06");
        assertThat(later.path("priority").asString("")).isEqualTo("HIGH");
    }

    @Test
    void whatStandsInItsPlaceAlreadyIsNoChange() {
        String a = followUp("A", "2026-03-04", false, 15);
        String b = followUp("B", "2026-03-05", false, 15);
        String order = "{\"day\":\"2026-03-04\",\"band\":\"NOW\",\"inOrder\":[\"" + a + "\",\"" + b + "\"]}";
        change(me, HttpMethod.PUT, "/api/plan/order", order);
        String again = change(me, HttpMethod.PUT, "/api/plan/order", order);
        assertThat(jdbc.queryForObject(
                        "select count(*) from history where command_id = ?", Integer.class, UUID.fromString(again)))
                .isZero();
    }

    @Test
    void aDateBeyondAllCalendarsIsRefusedOrDoesNoHarm() {
        for (String day : List.of("+999999999-12-31", "9999-12-31")) {
            tryChange(
                    me,
                    HttpMethod.POST,
                    "/api/follow-ups",
                    "{\"followUps\":[{\"id\":\"" + UUID.randomUUID()
                            + "\",\"sentence\":\"\",\"content\":{\"title\":\"Far\",\"replyDay\":\"" + day
                            + "\",\"firm\":false}}]}");
            assertThat(call(me, HttpMethod.GET, "/api/day?day=" + day.replace("+", "%2B"), "")
                            .getResponse()
                            .getStatus())
                    .isLessThan(500);
        }
        change(me, HttpMethod.POST, "/api/feed", "");
        assertThat(call(me, HttpMethod.GET, get(me, "/api/feed").path("path").asString(""), ""))
                .hasStatus(200);
        assertThat(call(me, HttpMethod.GET, "/api/today", "")).hasStatus(200);
        assertThat(call(me, HttpMethod.GET, "/api/ahead", "")).hasStatus(200);
    }

    @Test
    void whatIsAnothersIsNotFound() throws Exception {
        String id = followUp("Mine", "2026-03-06", true, 15);
        take(CALENDAR);
        SignedIn stranger = newAccount();
        String wish = "{\"followUpId\":\"" + id + "\",\"day\":\"2026-03-04\"}";
        assertThat(refusal(stranger, HttpMethod.POST, "/api/plan", "{\"wishes\":[" + wish + "]}"))
                .contains("404");
        assertThat(refusal(stranger, HttpMethod.POST, "/api/plan/out", "{\"ids\":[\"" + id + "\"]}"))
                .contains("404");
        assertThat(refusal(
                        stranger,
                        HttpMethod.PUT,
                        "/api/plan/order",
                        "{\"day\":\"2026-03-04\",\"band\":\"NOW\",\"inOrder\":[\"" + id + "\"]}"))
                .contains("404");
        assertThat(get(stranger, "/api/today").path("meetings").size()).isZero();
        assertThat(get(stranger, "/api/calendars").size()).isZero();
        assertThat(titles("candidates")).containsExactly("Mine");
    }

    @Test
    void whatHasEndedCannotBePlanned() {
        String id = followUp("Over", "2026-03-06", true, 15);
        change(me, HttpMethod.POST, "/api/follow-ups/" + id + "/state?version=0&state=DROPPED", "");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/plan",
                        "{\"wishes\":[{\"followUpId\":\"" + id + "\",\"day\":\"2026-03-04\"}]}"))
                .contains("has ended");
    }

    @Test
    void aBrokenCalendarIsRefusedAndOneWithSomeBrokenEventsIsNot() throws Exception {
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> take(CALENDAR.replace("DTSTART", "DTSTRT")))
                .hasMessageContaining("Nothing was changed");
        assertThat(take(CALENDAR.replace("DURATION:PT30M", "DURATION:SOON")))
                .isEqualTo(new FileImport.Result(FileImport.Kind.EVENTS, 2, 1, 0, 1));
    }
}
