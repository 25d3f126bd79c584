package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.core.account.Account;
import org.squallnote.server.account.SignedIn;
import org.squallnote.standins.calendar.CalendarServer;

/** With a real engine against a calendar server. The clock stands just after ten on Wednesday 4 March 2026. */
@AgainstServers
class CalendarSourceTest extends ServerTest {

    private CalendarServer server;
    private String office;
    private SignedIn me;
    private String source;

    @BeforeEach
    void connect() throws IOException {
        server = CalendarServer.start(0);
        server.shelf().addUser("ines", "secret");
        office = server.shelf().addCalendar("ines", "office", "Office");
        put("surveyor", "Surveyor", "T110000", "T120000");
        UUID id = UUID.randomUUID();
        accounts.insert(new Account(id, "user-" + id, "Ines", "none", "Europe/London", true, MONDAY));
        me = new SignedIn(id, "Ines", "Europe/London", true);
        source = UUID.randomUUID().toString();
        change(me, HttpMethod.POST, "/api/sources/calendar/" + source, form("secret"));
    }

    @AfterEach
    void disconnect() {
        disconnectAll(me);
        server.close();
    }

    private String form(String password) {
        return "{\"name\":\"Harbour\",\"address\":\"" + server.address() + "\",\"user\":\"ines\",\"password\":\""
                + password + "\"}";
    }

    private void put(String name, String title, String from, String to) {
        server.shelf()
                .put(
                        office,
                        name + ".ics",
                        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:" + name + "\r\nSUMMARY:" + title
                                + "\r\nDTSTART;TZID=Europe/London:20260304" + from
                                + "\r\nDTEND;TZID=Europe/London:20260304" + to
                                + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
    }

    private List<String> meetings() {
        return get(me, "/api/today").path("meetings").findValuesAsString("title");
    }

    private int free() {
        return get(me, "/api/today").path("freeMinutes").asInt(0);
    }

    private String status() {
        return get(me, "/api/sources").path(0).path("status").asString("");
    }

    @Test
    void whatChangesOnTheServerChangesTheDay() throws InterruptedException {
        until(me, () -> meetings().equals(List.of("Surveyor")));
        assertThat(free()).isEqualTo(359);
        put("surveyor", "Surveyor", "T110000", "T130000");
        until(me, () -> free() == 299);
        put("crew", "Crew round", "T150000", "T153000");
        until(me, () -> meetings().equals(List.of("Surveyor", "Crew round")));
        server.shelf().delete(office, "surveyor.ics");
        until(me, () -> meetings().equals(List.of("Crew round")));
        put("broken", "Broken\r\nDTSTART:never\r\nX-A:b", "T150000", "T153000");
        put("later", "Later", "T160000", "T163000");
        until(me, () -> meetings().equals(List.of("Crew round", "Later")));
    }

    @Test
    void whenTheServerIsAwayWhatWasReadLastStays() throws InterruptedException {
        until(me, () -> meetings().equals(List.of("Surveyor")) && status().equals("LIVE"));
        server.close();
        until(me, () -> status().equals("TROUBLE"));
        assertThat(get(me, "/api/sources").path(0).path("statusText").asString(""))
                .contains("could not be reached", "What was read last stays");
        assertThat(meetings()).containsExactly("Surveyor");
    }

    @Test
    void aCalendarThatIsGoneThereIsGoneHere() throws InterruptedException {
        String tides = server.shelf().addCalendar("ines", "tides", "Tides");
        until(me, () -> get(me, "/api/calendars").size() == 2);
        server.shelf().removeCalendar(tides);
        until(me, () -> get(me, "/api/calendars").size() == 1);
    }

    @Test
    void whatIsDisconnectedLeavesNothingBehind() throws InterruptedException {
        until(me, () -> meetings().equals(List.of("Surveyor")));
        disconnect();
        assertThat(meetings()).isEmpty();
        for (String table : List.of("calendar", "calendar_object", "meeting")) {
            assertThat(jdbc.queryForList("select * from " + table + " where owner = ?", me.accountId()))
                    .isEmpty();
        }
    }

    @Test
    void theAddressAndThePasswordAreKeptEncrypted() {
        String row = String.valueOf(jdbc.queryForList("select * from source where owner = ?", me.accountId()));
        assertThat(row).doesNotContain("secret", server.address());
        assertThat(String.valueOf(get(me, "/api/sources"))).doesNotContain("secret", server.address());
        assertThat(jdbc.queryForList("select before_state, after_state from history where owner = ?", me.accountId()))
                .allSatisfy(entry -> assertThat(entry.toString()).doesNotContain("secret"));
    }

    @Test
    void aSecretAddressLiesNowhereInPlain() throws InterruptedException {
        server.shelf().addUser("bo", "secret");
        String path = server.shelf().addCalendar("bo", "own", "Bo's");
        server.shelf()
                .put(
                        path,
                        "very-secret-word.ics",
                        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:one\r\nSUMMARY:By address\r\n"
                                + "DTSTART:20260304T130000Z\r\nDURATION:PT1H\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
        change(
                me,
                HttpMethod.POST,
                "/api/sources/calendar/" + UUID.randomUUID(),
                form("secret")
                        .replace(server.address(), server.address() + path + "very-secret-word.ics")
                        .replace("\"ines\"", "\"bo\""));
        until(me, () -> meetings().contains("By address"));
        for (String table : jdbc.queryForList(
                "select distinct table_name from information_schema.columns where column_name = 'OWNER'",
                String.class)) {
            assertThat(String.valueOf(jdbc.queryForList("select * from " + table + " where owner = ?", me.accountId())))
                    .as(table)
                    .doesNotContain("very-secret-word");
        }
        assertThat(String.valueOf(get(me, "/api/sources"))).doesNotContain("very-secret-word");
    }

    @Test
    void whatCannotBeReadIsNotAdded() {
        String other = UUID.randomUUID().toString();
        assertThat(refusal(me, HttpMethod.POST, "/api/sources/calendar/" + other, form("wrong")))
                .contains("does not accept user and password", "was not added");
        assertThat(refusal(me, HttpMethod.POST, "/api/sources/calendar/" + other, form("secret")))
                .contains("connected already");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/sources/calendar/" + other,
                        "{\"name\":\"x\",\"address\":\"ftp://x\",\"user\":\"\",\"password\":\"\"}"))
                .contains("https://");
    }

    @Test
    void aNewNameKeepsThePasswordAndANewPasswordIsUsed() throws InterruptedException {
        until(me, () -> status().equals("LIVE"));
        int version = get(me, "/api/sources").path(0).path("version").asInt(0);
        change(
                me,
                HttpMethod.PUT,
                "/api/sources/calendar/" + source + "?version=" + version,
                "{\"name\":\"Quay\",\"password\":\"\"}");
        until(me, () -> status().equals("LIVE"));
        put("crew", "Crew round", "T150000", "T153000");
        until(me, () -> meetings().contains("Crew round"));
        server.shelf().addUser("ines", "another");
        until(me, () -> status().equals("TROUBLE"));
        change(
                me,
                HttpMethod.PUT,
                "/api/sources/calendar/" + source + "?version=" + (version + 1),
                "{\"name\":\"Quay\",\"password\":\"another\"}");
        until(me, () -> status().equals("LIVE"));
    }
}
