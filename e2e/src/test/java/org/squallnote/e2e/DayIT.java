package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.squallnote.standins.calendar.CalendarServer;
import org.squallnote.standins.scenario.MerrowQuay;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The day planned by keyboard, ordered and moved by hand, and what a meeting makes of it. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class DayIT {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final LocalDate TODAY = LocalDate.ofInstant(Days.WORKING_DAY, Days.ZONE);

    @TempDir
    static Path data;

    private CalendarServer calendars;
    private String meetings;
    private String errands;
    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        calendars = CalendarServer.start(0);
        calendars.shelf().addUser("ines", MerrowQuay.PASSWORD);
        meetings = calendars.shelf().addCalendar("ines", "office", "Office");
        errands = calendars.shelf().addTaskList("ines", "errands", "Errands");
        office = Office.open(
                data,
                Days.WORKING_DAY,
                mail -> {},
                "--squallnote.calendars.every=1s",
                "--squallnote.outbox.hold=0s",
                "--squallnote.tasks.every=200");
        office.setUp().connectCalendars(calendars.address());
        browser = office.browser();
        office.signIn();
    }

    @AfterAll
    void close() {
        office.close();
        calendars.close();
    }

    @BeforeEach
    void someWork() {
        followUp("Berth plan", TODAY, 20);
        followUp("Surveyor's report", TODAY, 30);
        followUp("Slipway bookings", TODAY.plusDays(1), 25);
        followUp("Regatta booklet", TODAY.plusDays(1), 300);
        followUp("New cleats", null, 15);
        browser.open("/today");
        browser.untilText("5 could be done today");
    }

    @AfterEach
    void nothingOpen() {
        JsonNode all = office.setUp().call("GET", "/api/follow-ups", null);
        all.path("open").forEach(this::drop);
        all.path("later").forEach(this::drop);
    }

    private void drop(JsonNode followUp) {
        office.setUp()
                .call(
                        "POST",
                        "/api/follow-ups/" + followUp.path("id").asString("") + "/state?state=DROPPED&version="
                                + followUp.path("version").asInt(0),
                        null);
    }

    private void followUp(String title, LocalDate day, int minutes) {
        ObjectNode content =
                JSON.createObjectNode().put("title", title).put("firm", false).put("effortMinutes", minutes);
        if (day != null) {
            content.put("replyDay", day.toString());
        }
        ObjectNode body = JSON.createObjectNode();
        body.putArray("followUps")
                .addObject()
                .put("id", UUID.randomUUID().toString())
                .put("sentence", "")
                .set("content", content);
        office.setUp().call("POST", "/api/follow-ups", body);
    }

    private void planAll() {
        JsonNode today = office.setUp().call("GET", "/api/today", null);
        ObjectNode body = JSON.createObjectNode();
        for (JsonNode each : today.path("candidates")) {
            body.withArray("wishes")
                    .addObject()
                    .put("followUpId", each.path("line").path("id").asString(""))
                    .put("day", TODAY.toString());
        }
        office.setUp().call("POST", "/api/plan", body);
        browser.until(() -> browser.all("[data-test=entry]").size() == 5 ? true : null, "five in the day");
    }

    private List<String> titles(String css) {
        return browser.all(css).stream()
                .map(each ->
                        each.findElement(By.cssSelector("[data-test=open]")).getAttribute("title"))
                .toList();
    }

    private void untilIn(String band, String... titles) {
        browser.until(
                () -> titles("[data-band=" + band + "] [data-test=entry]").equals(List.of(titles)) ? true : null,
                band + " to hold " + List.of(titles));
    }

    private void dragTo(WebElement what, WebElement where, int x, int y) {
        new Actions(browser.driver())
                .moveToElement(what)
                .clickAndHold()
                .moveByOffset(6, 6)
                .moveToElement(where)
                .moveByOffset(x, y)
                .pause(java.time.Duration.ofMillis(200))
                .release()
                .perform();
    }

    @Test
    void aTaskListOfAnotherProgramIsFollowedBothWays() {
        String task =
                "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VTODO\r\nUID:bulbs@quay.example\r\nSUMMARY:Bulbs for the pier"
                        + "\r\nSTATUS:NEEDS-ACTION\r\nEND:VTODO\r\nEND:VCALENDAR\r\n";
        calendars.shelf().put(errands, "bulbs.ics", task);
        browser.open("/settings/sources");
        browser.type("[data-test=task-list]", "Errands");
        browser.until(
                () -> browser.textOf("[data-test=tasks-in]").equals("6 there") ? true : null,
                "all to stand in the list");
        browser.open("/follow-ups");
        browser.untilText("Bulbs for the pier");
        calendars.shelf().put(errands, "bulbs.ics", task.replace("NEEDS-ACTION", "COMPLETED"));
        browser.untilText("Done in Errands: Bulbs for the pier");
        browser.until(() -> calendars.shelf().size(errands) == 6 ? true : null, "all to be written there");
        office.setUp()
                .call("PUT", "/api/settings/tasks", JSON.createObjectNode().putNull("calendarId"));
        calendars.shelf().names(errands).forEach(name -> calendars.shelf().delete(errands, name));
    }

    @Test
    void theMorningIsPlannedByKeyboard() {
        int keys = 0;
        browser.press("p");
        keys++;
        String[] decisions = {"i", "i", "o", "i", "s"};
        for (String decision : decisions) {
            String candidate = browser.textOf("[data-test=candidate] h3");
            browser.press(decision);
            keys++;
            if (decision.equals("o")) {
                browser.find("[data-test=typed-day]");
                browser.press("2");
                browser.press(Keys.ENTER);
                keys += 2;
            }
            browser.until(
                    () -> browser.shows("[data-test=planned]")
                                    || !browser.textOf("[data-test=candidate] h3")
                                            .equals(candidate)
                            ? true
                            : null,
                    "what comes after " + candidate);
        }
        browser.press(Keys.ESCAPE);
        keys++;
        untilIn("LATER", "Surveyor's report", "Berth plan", "Slipway bookings");
        System.out.println("The morning: " + decisions.length + " follow-ups in " + keys + " keys");
        assertThat(keys).isLessThanOrEqualTo(2 * decisions.length);
    }

    @Test
    void theOrderIsMadeByHandAndByKeysAndTakenBack() {
        planAll();
        untilIn("LATER", "Surveyor's report", "Berth plan", "Regatta booklet", "Slipway bookings", "New cleats");
        List<WebElement> handles = browser.all("[data-test=handle]");
        dragTo(handles.get(4), handles.get(0), 0, -10);
        browser.until(
                () -> titles("[data-test=entry]").get(0).equals("New cleats") ? true : null, "the dragged one on top");
        browser.click("[data-entry] [data-test=open][title='Berth plan']");
        browser.find("[role=dialog]");
        browser.escape();
        browser.untilGone("[role=dialog]");
        for (int i = 0; i < 4 && titles("[data-band=NOW] [data-test=entry]").isEmpty(); i++) {
            List<String> before = titles("[data-test=entry]");
            browser.pressWith(Keys.SHIFT, Keys.ARROW_UP);
            browser.until(
                    () -> titles("[data-test=entry]").equals(before)
                                    && titles("[data-band=NOW] [data-test=entry]")
                                            .isEmpty()
                            ? null
                            : true,
                    "the row to move");
        }
        untilIn("NOW", "Berth plan");
        browser.press("u");
        untilIn("NOW");
    }

    @Test
    void tooMuchIsMadeToFitWithOneKey() {
        planAll();
        int before = browser.all("[data-test=above-the-rim]").size();
        assertThat(before).isPositive();
        browser.untilText("too much");
        browser.press("m");
        browser.until(() -> browser.all("[data-test=above-the-rim]").isEmpty() ? true : null, "a day that fits");
        browser.press("u");
        browser.until(
                () -> browser.all("[data-test=above-the-rim]").size() == before ? true : null, "the day as it was");
    }

    private void meet(String from, String length) {
        calendars
                .shelf()
                .put(
                        meetings,
                        "surveyor.ics",
                        String.join(
                                "\r\n",
                                "BEGIN:VCALENDAR",
                                "BEGIN:VEVENT",
                                "UID:surveyor@merrowquay.example",
                                "SUMMARY:Surveyor",
                                "DTSTART;TZID=" + Days.ZONE + ":"
                                        + TODAY.toString().replace("-", "") + "T" + from,
                                "DURATION:" + length,
                                "END:VEVENT",
                                "END:VCALENDAR",
                                ""));
    }

    private int top() {
        return browser.find("[data-test=meeting] rect").getLocation().getY();
    }

    @Test
    void aMeetingThatMovesOnItsServerMovesInTheOpenPage() {
        meet("130000", "PT1H");
        browser.until(() -> browser.all("[data-test=meeting]").size() == 1 ? true : null, "the meeting in the gauge");
        int free = office.setUp()
                .call("GET", "/api/today", null)
                .path("freeMinutes")
                .asInt(0);
        int before = top();
        long moved = System.nanoTime();
        meet("150000", "PT90M");
        browser.until(() -> top() > before ? true : null, "the meeting where it is now");
        System.out.println("A moved meeting was seen after " + (System.nanoTime() - moved) / 1_000_000 + " ms");
        assertThat(office.setUp()
                        .call("GET", "/api/today", null)
                        .path("freeMinutes")
                        .asInt(0))
                .isLessThanOrEqualTo(free - 29);
        calendars.shelf().delete(meetings, "surveyor.ics");
        browser.until(() -> browser.all("[data-test=meeting]").isEmpty() ? true : null, "the day without it");
    }

    @Test
    void oneIsDraggedIntoTheGaugeAndMakesWayForAMeeting() {
        planAll();
        browser.open("/today");

        WebElement layer = browser.find("[data-test=layer]");
        WebElement ruler = browser.find("[data-test=gauge] svg");
        new Actions(browser.driver())
                .moveToElement(layer)
                .clickAndHold()
                .moveByOffset(-20, -10)
                .moveToElement(ruler, -80, 60)
                .release()
                .perform();
        browser.until(() -> browser.all("[data-test=block]").size() == 1 ? true : null, "the block beside the ruler");
        String at = begins();
        meet(at.replace(":", "").substring(0, 4) + "00", "PT45M");
        browser.until(() -> begins().equals(at) || begins().isEmpty() ? null : true, "the block elsewhere");
        browser.untilText("for a meeting");
        calendars.shelf().delete(meetings, "surveyor.ics");
    }

    @Test
    void oneIsDraggedFromTheListToTheRuler() {
        planAll();
        browser.open("/today");
        browser.find("[data-test=gauge] svg");
        WebElement ruler = browser.find("[data-test=gauge] svg");
        dragTo(browser.all("[data-test=handle]").get(0), ruler, -80, 120);
        browser.until(() -> browser.all("[data-test=block]").size() == 1 ? true : null, "the block beside the ruler");
        assertThat(begins()).isNotEmpty();
    }

    private String begins() {
        for (JsonNode entry : office.setUp().call("GET", "/api/today", null).path("entries")) {
            if (!entry.path("at").isNull()) {
                return entry.path("at").asString("");
            }
        }
        return "";
    }

    @Test
    void anInvitationIsAnsweredWithOneKeyAndStandsInTheCalendar() {
        String id = "";
        for (JsonNode line : office.setUp().call("GET", "/api/intake", null).path("lines")) {
            id = line.path("about").asString("").equals("Harbour meeting")
                    ? line.path("id").asString("")
                    : id;
        }
        browser.open("/intake/" + id);
        browser.untilText("invites you");
        browser.find("[data-test=meeting-day]");
        browser.press("y");
        browser.until(() -> answered() ? true : null, "the meeting in the calendar");
        browser.open("/ahead");
        browser.untilText("Harbour meeting");
    }

    private boolean answered() {
        return calendars.shelf().names(meetings).stream()
                .map(name -> calendars.shelf().body(meetings, name).orElse(""))
                .anyMatch(body -> body.contains("Harbour meeting") && body.contains("PARTSTAT=ACCEPTED"));
    }

    @Test
    void oneIsDraggedToAnotherDayAndTypedToAThird() {
        browser.open("/ahead");
        String wednesday = "[data-day='" + TODAY + "'] ";
        String next = "[data-day='" + TODAY.plusDays(1) + "'] ";
        WebElement plan = browser.find(wednesday + "[title^='Berth plan']");
        dragTo(plan, browser.find(next + "[data-test=ahead-entry]"), 0, 4);
        browser.find(next + "[title^='Berth plan']");
        browser.press(Keys.ARROW_RIGHT);
        browser.press("t");
        browser.type("[data-test=to-another-day] [data-test=typed-day]", "in 4 days");
        browser.until(
                () -> browser.textOf("[data-test=typed-day-read]").contains("Enter") ? true : null, "the typed date");
        browser.press(Keys.ENTER);
        browser.untilGone("[data-test=to-another-day]");
        browser.until(
                () -> browser.all(next + "[data-test=ahead-entry]").size() == 2 ? true : null, "two left on that day");
    }
}
