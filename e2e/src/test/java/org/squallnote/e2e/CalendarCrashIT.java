package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.squallnote.standins.calendar.CalendarServer;
import org.squallnote.standins.scenario.AppSetUp;
import org.squallnote.standins.scenario.MerrowQuay;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Kills the application while it writes into a calendar: no event is lost, none is there twice. */
class CalendarCrashIT {

    private static final int EVENTS = 24;
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final LocalDate TOMORROW =
            LocalDate.ofInstant(Days.WORKING_DAY, Days.ZONE).plusDays(1);
    private static final Pattern UID = Pattern.compile("UID:(\\S+)");

    @TempDir
    static Path data;

    @Test
    void aKillWhileEventsAndTasksAreWrittenLosesAndDoublesNone() throws Exception {
        Clock clock = Days.clockFrom(Days.WORKING_DAY);
        try (CalendarServer calendars = CalendarServer.start(0)) {
            calendars.shelf().addUser("ines", MerrowQuay.PASSWORD);
            String office = calendars.shelf().addCalendar("ines", "office", "Office");
            String tasks = calendars.shelf().addTaskList("ines", "tasks", "Tasks");
            Application application = new Application(
                            data,
                            clock,
                            "--squallnote.calendars.every=1s",
                            "--squallnote.blocks.every=100",
                            "--squallnote.tasks.every=100")
                    .start();
            try {
                AppSetUp setUp = new AppSetUp(application.address());
                assertThat(setUp.awaitApplication()).isTrue();
                setUp.makeAccount(Days.ZONE.getId());
                setUp.connectCalendars(calendars.address());
                AppSetUp first = setUp;
                until(() -> first.call("GET", "/api/calendars", null).size() == 2, "the calendars");
                List<String> ids = followUps(setUp);
                choose(setUp, "/api/settings/blocks", 0);
                choose(setUp, "/api/settings/tasks", 1);
                for (int round = 0; round < 2; round++) {
                    for (int i = 0; i < EVENTS; i++) {
                        start(setUp, ids.get(i), LocalTime.of(0, 0).plusMinutes(30L * i + 10L * round));
                    }
                    int atLeast = 3 + 6 * round;
                    until(() -> calendars.shelf().size(office) >= atLeast, atLeast + " events");
                    System.out.println("Killed with " + calendars.shelf().size(office) + " events in the calendar");
                    application.kill();
                    application.start();
                    setUp = new AppSetUp(application.address());
                    setUp.signIn();
                }
                until(() -> starts(calendars, office).equals(wanted()), "all blocks where they are now");
                assertThat(uids(calendars, office)).hasSize(EVENTS);
                assertThat(calendars.shelf().size(office)).isEqualTo(EVENTS);
                until(() -> calendars.shelf().size(tasks) == EVENTS, "all follow-ups in the task list");
                AppSetUp last = setUp;
                until(() -> last.call("GET", "/api/outbox", null).isEmpty(), "nothing on its way");
                assertThat(uids(calendars, tasks)).hasSize(EVENTS);
                assertThat(calendars.shelf().size(tasks)).isEqualTo(EVENTS);
                assertThat(setUp.call("GET", "/api/follow-ups", null).path("open"))
                        .as("none was taken in from there")
                        .hasSize(EVENTS);
            } finally {
                application.kill();
            }
        }
    }

    private static void choose(AppSetUp setUp, String where, int which) {
        String id =
                setUp.call("GET", "/api/calendars", null).path(which).path("id").asString("");
        setUp.call("PUT", where, JSON.createObjectNode().put("calendarId", id));
    }

    private static List<String> followUps(AppSetUp setUp) {
        ObjectNode body = JSON.createObjectNode();
        List<String> ids = new ArrayList<>();
        for (int i = 0; i < EVENTS; i++) {
            String id = UUID.randomUUID().toString();
            ids.add(id);
            body.withArray("followUps")
                    .addObject()
                    .put("id", id)
                    .put("sentence", "")
                    .putObject("content")
                    .put("title", "Block " + i)
                    .put("firm", false)
                    .put("effortMinutes", 10);
        }
        setUp.call("POST", "/api/follow-ups", body);
        return ids;
    }

    private static void start(AppSetUp setUp, String id, LocalTime at) {
        setUp.call(
                "PUT",
                "/api/plan/" + id + "/start",
                JSON.createObjectNode().put("day", TOMORROW.toString()).put("at", at.toString()));
    }

    private static Set<String> wanted() {
        Set<String> starts = new HashSet<>();
        for (int i = 0; i < EVENTS; i++) {
            starts.add("Block " + i + " "
                    + TOMORROW.atTime(0, 0)
                            .plusMinutes(30L * i + 10)
                            .atZone(Days.ZONE)
                            .toInstant());
        }
        return starts;
    }

    private static Set<String> starts(CalendarServer calendars, String office) {
        Set<String> starts = new HashSet<>();
        for (String body : bodies(calendars, office)) {
            Matcher said = Pattern.compile("DTSTART:(\\d{4})(\\d\\d)(\\d\\d)T(\\d\\d)(\\d\\d)(\\d\\d)Z")
                    .matcher(body);
            Matcher title = Pattern.compile("SUMMARY:(Block \\d+)").matcher(body);
            if (said.find() && title.find()) {
                starts.add(title.group(1) + " "
                        + said.replaceAll("$1-$2-$3T$4:$5:$6Z")
                                .lines()
                                .filter(line -> line.startsWith("20"))
                                .findFirst()
                                .orElse(""));
            }
        }
        return starts;
    }

    private static Set<String> uids(CalendarServer calendars, String office) {
        Set<String> uids = new HashSet<>();
        for (String body : bodies(calendars, office)) {
            Matcher uid = UID.matcher(body);
            if (uid.find()) {
                uids.add(uid.group(1));
            }
        }
        return uids;
    }

    private static List<String> bodies(CalendarServer calendars, String office) {
        return calendars.shelf().names(office).stream()
                .map(name -> calendars.shelf().body(office, name).orElse(""))
                .toList();
    }

    private static void until(BooleanSupplier condition, String what) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(120).toNanos();
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited for %s", what).isLessThan(end);
            Thread.sleep(5);
        }
    }
}
