package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.squallnote.standins.scenario.Habits;
import tools.jackson.databind.JsonNode;

/** The record and the round by keyboard: the proof of a thread, time that was spent, figures, the whole walk. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class RecordIT {

    @TempDir
    static Path data;

    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        office = Office.open(data, Days.WORKING_DAY, mail -> {});
        new Habits(office.setUp()).make(office.quay().calendar());
        browser = office.browser();
        office.signIn();
    }

    @AfterAll
    void close() {
        office.close();
    }

    private String thread(String subject) {
        for (JsonNode line :
                office.setUp().call("GET", "/api/threads?turn=WITH_ME", null).path("lines")) {
            if (line.path("subject").asString("").contains(subject)) {
                return line.path("id").asString("");
            }
        }
        throw new AssertionError("There is no thread about " + subject);
    }

    @Test
    void theProofOfAThreadSaysWhatWasAskedInWhoseWordsAndIsSavedAsPdf() {
        browser.open("/threads/" + thread("Insurance certificate"));
        browser.click("[data-test=thread-proof]");
        browser.untilText("Anselm Roche asked me");
        browser.untilText("not answered yet");
        assertThat(browser.texts("[data-test=proved-message]")).anyMatch(text -> text.contains("SHA-256"));
        String address = String.valueOf(browser.js("return location.search")).replace("?thread=", "");
        Object head = browser.driver()
                .executeAsyncScript(
                        "const done = arguments[1]; fetch('/api/threads/' + arguments[0] + '/proof.pdf')"
                                + ".then(answer => answer.text()).then(text => done(text.slice(0, 5)))",
                        address);
        assertThat(head).isEqualTo("%PDF-");
    }

    @Test
    void timeIsWrittenDownCorrectedWithATraceAndTakenBack() {
        office.setUp()
                .call(
                        "POST",
                        "/api/follow-ups",
                        Office.object()
                                .set(
                                        "followUps",
                                        Office.object()
                                                .arrayNode()
                                                .add(Office.object()
                                                        .put(
                                                                "id",
                                                                UUID.randomUUID()
                                                                        .toString())
                                                        .put("sentence", "")
                                                        .set(
                                                                "content",
                                                                Office.object()
                                                                        .put("title", "Varnish the gig")
                                                                        .put("firm", false)))));
        browser.open("/record/time");
        browser.find("[data-test=time-add-first]");
        browser.press("a");
        browser.type("[data-test=find-follow-up]", "varnish");
        browser.untilText("Varnish the gig");
        browser.press(Keys.ENTER);
        browser.type("[data-test=time-length]", "nothing", Keys.ENTER);
        browser.untilText("is no length");
        browser.type("[data-test=time-length]", Keys.chord(Keys.CONTROL, "a"), "45", Keys.ENTER);
        browser.untilText("0:45");
        browser.press(Keys.ARROW_DOWN);
        browser.press("c");
        browser.type("[data-test=time-length]", Keys.chord(Keys.CONTROL, "a"), "to 09:30", Keys.ENTER);
        browser.untilText("corrected");
        assertThat(browser.textOf("[data-test=time-sum]")).contains("0:30");
        browser.press("u");
        browser.untilText("0:45");
    }

    @Test
    void figuresSayWhatTheyMeanAndLeadToTheirRows() {
        browser.open("/record/figures");
        browser.untilText("You answered half of");
        browser.click("[data-test=responses-PERSON]");
        browser.click("[data-test=figure-responses] summary");
        browser.click("[data-test=figure-responses] tbody a");
        browser.untilText("What was asked and answered with");
    }

    @Test
    void theWholeRoundByKeyboardEndsWithNothingForgotten() {
        browser.open("/round");
        browser.click("[data-test=round-begin]");
        browser.untilText("step 1 of 14");
        browser.untilText("Next step");
        // The first one is decided and taken back: each line has its way back.
        browser.find("[data-test=round-line]");
        String first = browser.texts("[data-test=round-line]").get(0);
        browser.press("x");
        browser.until(
                () -> browser.texts("[data-test=round-line]").get(0).equals(first) ? null : Boolean.TRUE,
                "the next line");
        browser.press("u");
        browser.until(
                () -> browser.texts("[data-test=round-line]").get(0).equals(first) ? Boolean.TRUE : null,
                "the first line again");
        for (int step = 1; step < 14; step++) {
            int now = step;
            browser.untilText("step " + now + " of 14");
            if (step == 3) {
                // Left and taken up again where it was.
                browser.open("/round");
                browser.untilText("step 3 of 14");
            }
            leaveAll();
            browser.press(Keys.ARROW_RIGHT);
        }
        browser.untilText("step 14 of 14");
        browser.find("[data-test=nothing-forgotten]");
        browser.find("[data-test=round-ahead] li");
        browser.click("[data-test=round-finish]");
        browser.untilText("The last one was done");
    }

    /** Leaves each line of a step as it is, until there is none. */
    private void leaveAll() {
        browser.until(
                () -> browser.shows("[data-test=step-clear]") || browser.shows("[data-test=round-stays]")
                        ? Boolean.TRUE
                        : null,
                "the lines of the step");
        while (!browser.shows("[data-test=step-clear]")) {
            List<String> before = browser.texts("[data-test^=step-][aria-current=step]");
            browser.press("l");
            browser.until(
                    () -> browser.shows("[data-test=step-clear]")
                                    || !browser.texts("[data-test^=step-][aria-current=step]")
                                            .equals(before)
                            ? Boolean.TRUE
                            : null,
                    "one line less");
        }
    }
}
