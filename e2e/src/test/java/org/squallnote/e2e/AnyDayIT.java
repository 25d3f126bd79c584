package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.openqa.selenium.Keys;
import tools.jackson.databind.JsonNode;

/** The office is believable and works whenever it is opened: on a Saturday, at month end, on the night of a clock change. */
class AnyDayIT {

    static Stream<Arguments> days() {
        return Stream.of(
                Arguments.of("a Saturday", Days.SATURDAY),
                Arguments.of("the last day of a month", Days.LAST_DAY_OF_A_MONTH),
                Arguments.of("the Sunday of a clock change", Days.CLOCK_CHANGE_SUNDAY));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("days")
    void theOfficeWorks(String name, Instant start, @TempDir Path data) throws Exception {
        LocalDate today = LocalDate.ofInstant(start, Days.ZONE);
        try (Office office = Office.open(data, start, mail -> {}, "--squallnote.outbox.hold=1s")) {
            Browser browser = office.browser();
            nothingAskedIsStale(office, today);
            office.signIn();
            browser.click("[title^='Tilda Brandt']");
            String date = browser.until(() -> browser.textOf("[data-test=date]"), "the date in Tilda's words");
            assertThat(date).startsWith("before ");
            browser.press("f");
            assertThat(browser.textOf("[data-test=reply-by-reason]")).isEqualTo("because “" + date + "”");
            browser.type("[data-test=sentence] input", Keys.ENTER);
            browser.untilText("Follow-up: Send Tilda the berth plan for pontoon C");
            choicesLieAhead(office, today);
            Office.Written asked = office.written("lena", "Keys", "Could you bring the keys to the pier?");
            office.answer(asked.id(), "They hang at the office door.");
            browser.open("/follow-ups");
            browser.find("[data-test=follow-up][data-state=OPEN][title^='Send Tilda']");
            browser.open("/threads");
            browser.find("[data-row]");
        }
    }

    /** Deadlines in messages lie ahead, whatever day it is: a weekend in between makes nobody late. */
    private static void nothingAskedIsStale(Office office, LocalDate today) {
        List<String> stale = new ArrayList<>();
        int dated = 0;
        for (JsonNode line : office.setUp().call("GET", "/api/intake", null).path("lines")) {
            String day = line.path("replyDay").asString("");
            dated += day.isEmpty() ? 0 : 1;
            if (!day.isEmpty() && LocalDate.parse(day).isBefore(today) && !isFridays(day, today)) {
                stale.add(day + " " + line.path("about").asString(""));
            }
        }
        assertThat(stale).isEmpty();
        assertThat(dated).as("asks with a deadline").isGreaterThan(3);
    }

    /** What was due on the last working day itself may have passed since its evening. */
    private static boolean isFridays(String day, LocalDate today) {
        return today.getDayOfWeek().getValue() > 5
                && LocalDate.parse(day)
                        .isAfter(today.minusDays(today.getDayOfWeek().getValue() - 4L));
    }

    private static void choicesLieAhead(Office office, LocalDate today) {
        for (JsonNode choice : office.setUp().call("GET", "/api/intake", null).path("quickChoices")) {
            assertThat(LocalDate.parse(choice.path("day").asString(""))).isAfterOrEqualTo(today);
        }
    }
}
