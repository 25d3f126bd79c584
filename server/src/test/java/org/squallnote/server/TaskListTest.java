package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.standins.calendar.CalendarServer;
import tools.jackson.databind.JsonNode;

/** Follow-ups with a real calendar server: they stand in its task list, and what is changed there is changed here. */
class TaskListTest extends CalendarServerTest {

    private String tasks = "";

    @Override
    int furnish() {
        tasks = server.shelf().addTaskList("ines", "tasks", "Tasks");
        return 2;
    }

    private String into(String name) {
        for (JsonNode calendar : get(me, "/api/calendars")) {
            if (calendar.path("name").asString("").equals(name)) {
                return change(
                        me,
                        HttpMethod.PUT,
                        "/api/settings/tasks",
                        "{\"calendarId\":\"" + calendar.path("id").asString("") + "\"}");
            }
        }
        throw new AssertionError("No calendar " + name);
    }

    private String make(String title) {
        return make(title, ",\"replyDay\":\"2026-03-09\"");
    }

    private List<String> bodies(String list) {
        return server.shelf().names(list).stream()
                .map(name -> server.shelf().body(list, name).orElse(""))
                .toList();
    }

    /** What the task list says of a follow-up; empty for nothing. */
    private String task(String title) {
        return bodies(tasks).stream()
                .filter(body -> body.contains("SUMMARY:" + title + "\r"))
                .findFirst()
                .orElse("");
    }

    /** Somebody changes a task in another program. */
    private void edit(String title, String from, String to) {
        for (String name : server.shelf().names(tasks)) {
            String body = server.shelf().body(tasks, name).orElse("");
            if (body.contains("SUMMARY:" + title + "\r")) {
                assertThat(body).contains(from);
                server.shelf().put(tasks, name, body.replace(from, to));
            }
        }
    }

    private void takeAway(String title) {
        for (String name : server.shelf().names(tasks)) {
            if (server.shelf().body(tasks, name).orElse("").contains("SUMMARY:" + title + "\r")) {
                server.shelf().delete(tasks, name);
            }
        }
    }

    private static String written(String uid, String title, String more) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VTODO\r\nUID:" + uid + "\r\nSUMMARY:" + title + "\r\n" + more
                + "END:VTODO\r\nEND:VCALENDAR\r\n";
    }

    private JsonNode followUp(String title) {
        for (String state : List.of("open", "ended")) {
            for (JsonNode each : get(me, "/api/follow-ups").path(state)) {
                if (each.path("title").asString("").equals(title)) {
                    return each;
                }
            }
        }
        return get(me, "/api/follow-ups").path("none");
    }

    private String column(String title, String column) {
        List<String> found = jdbc.queryForList(
                "select cast(" + column + " as varchar) from follow_up where owner = ? and title = ?",
                String.class,
                me.accountId(),
                title);
        return found.isEmpty() || found.get(0) == null ? "" : found.get(0);
    }

    private List<String> labels() {
        return jdbc.queryForList(
                "select label from command where owner = ? and kind = 'task-list' order by id",
                String.class,
                me.accountId());
    }

    private String command(String label) {
        return jdbc.queryForObject(
                "select cast(id as varchar) from command where owner = ? and label like ?",
                String.class,
                me.accountId(),
                label + "%");
    }

    private void undo(String command) {
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
    }

    @Test
    void bothSidesFollowEachOther() throws Exception {
        String id = make("Send the plans");
        into("Tasks");
        until(me, () -> task("Send the plans").contains("DUE;VALUE=DATE:20260309"));
        assertThat(get(me, "/api/settings/tasks").path("followUps").asInt()).isEqualTo(1);

        edit("Send the plans", "DUE;VALUE=DATE:20260309", "DUE;VALUE=DATE:20260311");
        until(me, () -> column("Send the plans", "reply_day").equals("2026-03-11"));
        assertThat(labels()).contains("Changed in Tasks: Send the plans");
        assertThat(column("Send the plans", "effort_minutes"))
                .as("what a task cannot say stays")
                .isEqualTo("30");

        edit("Send the plans", "STATUS:NEEDS-ACTION", "STATUS:COMPLETED");
        until(me, () -> column("Send the plans", "state").equals("DONE"));
        undo(command("Done in Tasks: Send the plans"));
        until(me, () -> task("Send the plans").contains("STATUS:NEEDS-ACTION"));

        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/" + id + "/state?state=DROPPED&version=" + column("Send the plans", "version"),
                "");
        until(me, () -> task("Send the plans").contains("STATUS:CANCELLED"));
        assertThat(server.shelf().size(tasks)).isEqualTo(1);
    }

    @Test
    void whatIsMadeThereIsMadeHereAndOnlyWhatIsOpen() throws Exception {
        server.shelf().put(tasks, "1.ics", written("1@there.example", "Grease the crane", "DUE:20260310T150000Z\r\n"));
        server.shelf().put(tasks, "2.ics", written("2@there.example", "Long done", "STATUS:COMPLETED\r\n"));
        server.shelf().put(tasks, "3.ics", written("3@there.example", "Every day", "RRULE:FREQ=DAILY\r\n"));
        into("Tasks");
        until(me, () -> column("Grease the crane", "reply_time").startsWith("15:00"));
        assertThat(column("Long done", "state")).isEmpty();
        assertThat(column("Every day", "state")).isEmpty();

        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups/" + column("Grease the crane", "id") + "/state?state=DONE&version=0",
                "");
        until(me, () -> server.shelf().body(tasks, "1.ics").orElse("").contains("STATUS:COMPLETED"));
        edit("Long done", "STATUS:COMPLETED", "STATUS:NEEDS-ACTION");
        until(me, () -> column("Long done", "state").equals("OPEN"));
    }

    @Test
    void thatOneWasTakenInIsTakenBackWithoutHarmToTheTask() throws Exception {
        server.shelf().put(tasks, "1.ics", written("1@there.example", "Grease the crane", ""));
        into("Tasks");
        until(me, () -> column("Grease the crane", "state").equals("OPEN"));
        undo(command("From Tasks: Grease the crane"));
        edit("Grease the crane", "UID:1@there.example", "PRIORITY:1\r\nUID:1@there.example");
        make("Another");
        until(me, () -> !task("Another").isEmpty());
        assertThat(column("Grease the crane", "state")).isEmpty();
        assertThat(task("Grease the crane")).contains("PRIORITY:1");
    }

    @Test
    void whatIsTakenAwayThereIsDroppedAndComesBackWithUndo() throws Exception {
        make("Send the plans");
        into("Tasks");
        until(me, () -> !task("Send the plans").isEmpty() && isAgreed());
        takeAway("Send the plans");
        until(me, () -> column("Send the plans", "state").equals("DROPPED"));
        undo(command("Dropped, since it was taken out of Tasks: Send the plans"));
        until(me, () -> task("Send the plans").contains("STATUS:NEEDS-ACTION"));
    }

    /** What was sent is agreed on once it was seen there; what is taken away before is put there again. */
    private boolean isAgreed() {
        return get(me, "/api/outbox").isEmpty()
                && jdbc.queryForObject(
                                "select count(*) from todo_link where owner = ? and base is null",
                                Integer.class,
                                me.accountId())
                        == 0;
    }

    @Test
    void aListThatIsEmptiedAtOnceIsFilledAgain() throws Exception {
        for (int i = 0; i < 6; i++) {
            make("Plan " + i);
        }
        into("Tasks");
        until(me, () -> server.shelf().size(tasks) == 6 && isAgreed());
        server.shelf().empty(tasks);
        until(me, () -> labels().stream().anyMatch(label -> label.startsWith("6 tasks were gone")));
        until(me, () -> server.shelf().size(tasks) == 6);
        assertThat(column("Plan 3", "state")).isEqualTo("OPEN");
    }

    @Test
    void whatIsTakenBackHereLeavesTheListAndComesBackWithIt() throws Exception {
        into("Tasks");
        make("Send the plans");
        until(me, () -> !task("Send the plans").isEmpty() && isAgreed());
        String made = command("Follow-up: Send the plans");
        undo(made);
        until(me, () -> task("Send the plans").isEmpty());
        undo(jdbc.queryForObject(
                "select cast(id as varchar) from command where owner = ? and undo_of = ?",
                String.class,
                me.accountId(),
                UUID.fromString(made)));
        until(me, () -> !task("Send the plans").isEmpty());
        assertThat(column("Send the plans", "state")).isEqualTo("OPEN");
    }

    @Test
    void whatBothChangeWhileTheServerIsAwayIsNotLost() throws Exception {
        String id = make("Send the plans");
        into("Tasks");
        until(me, () -> !task("Send the plans").isEmpty() && isAgreed());
        int port = URI.create(server.address()).getPort();
        String name = server.shelf().names(tasks).get(0);
        String body = server.shelf().body(tasks, name).orElseThrow();
        server.close();
        String version = column("Send the plans", "version");
        change(
                me,
                HttpMethod.PUT,
                "/api/follow-ups/" + id + "?version=" + version,
                "{\"title\":\"Send all plans\",\"firm\":false,\"replyDay\":\"2026-03-09\"}");
        until(me, () -> get(me, "/api/outbox").toString().contains("could not be reached"));
        server = CalendarServer.start(port);
        server.shelf().addUser("ines", "secret");
        server.shelf().addCalendar("ines", "office", "Office");
        server.shelf().addTaskList("ines", "tasks", "Tasks");
        server.shelf().put(tasks, name, body);
        server.shelf()
                .put(
                        tasks,
                        name,
                        body.replace("SUMMARY:Send the plans", "SUMMARY:Send plan B")
                                .replace("20260309", "20260312"));
        until(me, () -> task("Send all plans").contains("20260312"));
        until(me, () -> column("Send all plans", "reply_day").equals("2026-03-12"));
        assertThat(column("Send all plans", "note")).isEqualTo("Tasks said: “Send plan B”");
        until(me, this::isAgreed);
        assertThat(server.shelf().size(tasks)).isEqualTo(1);
    }

    @Test
    void anotherListAndNoneLoseNothing() throws Exception {
        String more = server.shelf().addTaskList("ines", "more", "More");
        until(me, () -> get(me, "/api/calendars").size() == 3);
        server.shelf().put(tasks, "1.ics", written("1@there.example", "Grease the crane", ""));
        make("Send the plans");
        into("Tasks");
        until(
                me,
                () -> server.shelf().size(tasks) == 2
                        && !column("Grease the crane", "state").isEmpty());
        until(me, this::isAgreed);
        into("More");
        until(me, () -> server.shelf().size(more) == 2 && server.shelf().size(tasks) == 1);
        assertThat(task("Grease the crane")).as("it was made there, and stays").isNotEmpty();
        until(me, this::isAgreed);
        change(me, HttpMethod.PUT, "/api/settings/tasks", "{\"calendarId\":null}");
        make("Call");
        assertThat(get(me, "/api/settings/tasks").path("followUps").asInt()).isZero();
        assertThat(server.shelf().size(more)).isEqualTo(2);
        assertThat(column("Grease the crane", "state")).isEqualTo("OPEN");
    }

    @Test
    void aCalendarOfEventsIsNoTaskListAndTheOtherWayRound() {
        assertThat(get(me, "/api/calendars").findValuesAsString("tasks")).containsExactly("false", "true");
        String office = get(me, "/api/calendars").path(0).path("id").asString("");
        String list = get(me, "/api/calendars").path(1).path("id").asString("");
        assertThat(refusal(me, HttpMethod.PUT, "/api/settings/tasks", "{\"calendarId\":\"" + office + "\"}"))
                .contains("calendar");
        assertThat(refusal(me, HttpMethod.PUT, "/api/settings/blocks", "{\"calendarId\":\"" + list + "\"}"))
                .contains("calendar");
    }
}
