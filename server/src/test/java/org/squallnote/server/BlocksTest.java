package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.standins.calendar.CalendarServer;
import tools.jackson.databind.JsonNode;

/** Blocks with a real calendar server: they stand in its calendar, and make way for what comes there. */
class BlocksTest extends CalendarServerTest {

    private String followUp = "";

    @BeforeEach
    void somethingToPlan() {
        followUp = make("Write the plan", "");
    }

    private void intoOffice() {
        change(
                me,
                HttpMethod.PUT,
                "/api/settings/blocks",
                "{\"calendarId\":\""
                        + get(me, "/api/calendars").path(0).path("id").asString("") + "\"}");
    }

    private String at(String words) {
        return change(
                me,
                HttpMethod.PUT,
                "/api/plan/" + followUp + "/start",
                "{\"day\":\"2026-03-04\",\"words\":\"" + words + "\"}");
    }

    private String written() {
        return server.shelf().names(office).stream()
                .map(name -> server.shelf().body(office, name).orElse(""))
                .filter(body -> body.contains("SUMMARY:Write the plan"))
                .findFirst()
                .orElse("");
    }

    private JsonNode entry() {
        return get(me, "/api/today").path("entries").path(0);
    }

    private void meet(String from) {
        server.shelf()
                .put(
                        office,
                        "surveyor.ics",
                        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:surveyor\r\nSUMMARY:Surveyor\r\nDTSTART:20260304T"
                                + from + "00Z\r\nDURATION:PT1H\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
    }

    @Test
    void oneStandsInTheCalendarForAsLongAsItStandsInTheDay() throws Exception {
        intoOffice();
        at("2pm 1h");
        assertThat(entry().path("at").asString("")).isEqualTo("14:00:00");
        assertThat(entry().path("blockMinutes").asInt()).isEqualTo(60);
        until(me, () -> written().contains("DTSTART:20260304T140000Z"));
        assertThat(written()).contains("DURATION:PT60M");
        String command = at("15:00");
        until(me, () -> written().contains("DTSTART:20260304T150000Z"));
        assertThat(written()).contains("DURATION:PT30M");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        until(me, () -> written().contains("DTSTART:20260304T140000Z"));
        assertThat(server.shelf().size(office)).isEqualTo(1);
        assertThat(get(me, "/api/today").path("meetings"))
                .as("its own block is no meeting")
                .isEmpty();
        at("");
        until(me, () -> written().isEmpty());
    }

    @Test
    void oneMakesWayForAMeetingThatComes() throws Exception {
        intoOffice();
        at("14:00 45 min");
        until(me, () -> !written().isEmpty());
        meet("1415");
        until(me, () -> entry().path("at").asString("").equals("15:15:00"));
        until(me, () -> written().contains("DTSTART:20260304T151500Z"));
        assertThat(jdbc.queryForList(
                        "select label from command where owner = ? and kind = 'block-moved'",
                        String.class,
                        me.accountId()))
                .singleElement()
                .asString()
                .startsWith("Moved to 15:15, for a meeting");
        meet("1100");
        until(me, () -> get(me, "/api/today").toString().contains("\"fromMinute\":660"));
        assertThat(entry().path("at").asString(""))
                .as("it does not go back by itself")
                .isEqualTo("15:15:00");
    }

    @Test
    void aMoveThatIsTakenBackStaysTakenBack() throws Exception {
        at("14:00");
        meet("1415");
        until(me, () -> entry().path("at").asString("").equals("15:15:00"));
        String command = jdbc.queryForObject(
                "select id from command where owner = ? and kind = 'block-moved'", String.class, me.accountId());
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        String later = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[{\"id\":\"" + later
                        + "\",\"sentence\":\"\",\"content\":{\"title\":\"Call\",\"firm\":false,\"effortMinutes\":10}}]}");
        change(me, HttpMethod.PUT, "/api/plan/" + later + "/start", "{\"day\":\"2026-03-04\",\"at\":\"14:30\"}");
        until(me, () -> get(me, "/api/today").toString().contains("\"at\":\"15:15:00\""));
        assertThat(get(me, "/api/today").path("entries").findValuesAsString("at"))
                .as("the one that was taken back stands, another one makes way")
                .containsExactlyInAnyOrder("14:00:00", "15:15:00");
    }

    @Test
    void anotherCalendarAndNoneTakeItOutOfTheFirst() throws Exception {
        String own = server.shelf().addCalendar("ines", "own", "Own");
        until(me, () -> get(me, "/api/calendars").size() == 2);
        into("Office");
        at("14:00");
        until(me, () -> !written().isEmpty());
        into("Own");
        until(me, () -> written().isEmpty() && server.shelf().size(own) == 1);
        change(me, HttpMethod.PUT, "/api/settings/blocks", "{\"calendarId\":null}");
        until(me, () -> server.shelf().size(own) == 0);
        assertThat(entry().path("at").asString("")).isEqualTo("14:00:00");
    }

    private void into(String name) {
        for (JsonNode calendar : get(me, "/api/calendars")) {
            if (calendar.path("name").asString("").equals(name)) {
                change(
                        me,
                        HttpMethod.PUT,
                        "/api/settings/blocks",
                        "{\"calendarId\":\"" + calendar.path("id").asString("") + "\"}");
            }
        }
    }

    @Test
    void whatIsDoneIsNoBlockAnyMore() throws Exception {
        intoOffice();
        at("14:00");
        until(me, () -> !written().isEmpty());
        change(me, HttpMethod.POST, "/api/follow-ups/" + followUp + "/state?state=DONE&version=0", "");
        until(me, () -> written().isEmpty());
    }

    @Test
    void aServerThatIsAwayGetsWhatHoldsThenAndOnce() throws Exception {
        intoOffice();
        int port = URI.create(server.address()).getPort();
        server.close();
        at("14:00");
        until(me, () -> get(me, "/api/outbox").toString().contains("could not be reached"));
        at("15:00");
        restart(port);
        until(me, () -> written().contains("T150000Z") && get(me, "/api/outbox").isEmpty());
        assertThat(server.shelf().size(office)).isEqualTo(1);
    }

    private void restart(int port) throws IOException {
        server = CalendarServer.start(port);
        server.shelf().addUser("ines", "secret");
        server.shelf().addCalendar("ines", "office", "Office");
    }

    @Test
    void whatSaysNoTimeIsRefusedWithAWord() {
        assertThat(refusal(
                        me,
                        HttpMethod.PUT,
                        "/api/plan/" + followUp + "/start",
                        "{\"day\":\"2026-03-04\",\"words\":\"after lunch\"}"))
                .contains("says no time of the day");
    }
}
