package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.squallnote.standins.scenario.Habits;
import org.squallnote.standins.scenario.MerrowQuay;
import tools.jackson.databind.JsonNode;

/** Each way of deciding by keyboard: several asks, recipes, answers with phrases, handing over, capturing, changed keys. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class WaysIT {

    @TempDir
    static Path data;

    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        office = Office.open(data, Days.WORKING_DAY, mail -> {}, "--squallnote.outbox.hold=2s");
        new Habits(office.setUp()).make(office.quay().calendar());
        browser = office.browser();
        office.signIn();
    }

    @AfterAll
    void close() {
        office.close();
    }

    private void openMessage(String from) {
        browser.open("/intake");
        browser.click("[title^='" + from + "']");
        browser.until(() -> browser.textOf("article").contains(from) ? Boolean.TRUE : null, "the message of " + from);
    }

    private void untilPressed(String dataTest, String key) {
        browser.press(key);
        browser.find("[data-test=" + dataTest + "]");
    }

    @Test
    void aMessageThatAsksTwoThingsBecomesTwoFollowUps() {
        openMessage("Greta Holm");
        untilPressed("sentence", "f");
        untilPressed("each-ask", "e");
        assertThat(browser.all("[data-test=each-ask] li")).hasSize(2);
        browser.press(Keys.ENTER);
        browser.untilText("2 follow-ups: Check pages 4 and 5 and the sponsors' names …");
        browser.open("/follow-ups");
        browser.untilText("Give Greta my approval");
    }

    @Test
    void everyPartOfTheSentenceIsReachedByALetter() {
        openMessage("Tilda Brandt");
        untilPressed("sentence", "f");
        browser.press("t");
        browser.driver().switchTo().activeElement().sendKeys("Send the plan", Keys.TAB);
        browser.press("p");
        browser.type("[data-test=place-typed]", "slipway", Keys.ENTER);
        browser.press("l");
        browser.type("[data-test=checklist] input[type=text]", "scan", Keys.ENTER, "mail");
        browser.click("[data-test=accept]");
        browser.untilText("Follow-up: Send the plan");
        browser.open("/follow-ups");
        browser.untilText("0 of 2 steps · at slipway");
    }

    @Test
    void aRecipeShowsWhatItWouldDoAndDoesItInTwoKeys() {
        openMessage("Noor Haddad");
        untilPressed("recipes", "r");
        browser.untilText("follow-up “Pay Noor");
        browser.press("i");
        browser.untilText("Recipe Invoice to pay: Noor Haddad");
        browser.open("/settings/recipes");
        WebElement log = browser.find("[data-test=recipe-runs]");
        assertThat(log.getText()).contains("Invoice to pay");
        log.findElement(org.openqa.selenium.By.tagName("button")).click();
        browser.untilText("undone");
    }

    @Test
    void aRecipeIsWrittenWithADryRun() {
        browser.open("/settings/recipes");
        browser.click("[data-test=recipe-new]");
        browser.type("[data-test=recipe-name]", "Tilda's quotes");
        browser.type("[data-test=condition-sender]", "Tilda");
        browser.until(() -> browser.shows("[data-test=dry-run]") ? Boolean.TRUE : null, "what would have been taken");
        assertThat(browser.textOf("[data-test=dry-run]")).contains("would have been taken");
        browser.click("[data-test=recipe-automatic]");
        browser.click("[data-test=recipe-save]");
        browser.untilText("by itself from “Tilda”");
    }

    @Test
    void anAnswerQuotesTheAskTakesAPhraseAndIsWaitedFor() throws Exception {
        openMessage("Percival Drake");
        untilPressed("answer", "a");
        browser.click("[data-test=phrases]");
        browser.driver().switchTo().activeElement().sendKeys("papers", Keys.ENTER);
        browser.until(
                () -> answer().contains("could you send me {papers}") ? Boolean.TRUE : null,
                "the phrase in the answer");
        browser.driver().switchTo().activeElement().sendKeys("the drawing");
        browser.click("[data-test=send]");
        browser.untilText("You asked Percival Drake. They owe you an answer by");
        browser.click("[data-test=toast-action]");
        browser.untilText("Follow-up: Hear from Percival: ");
        MimeMessage sent = browser.until(() -> sentTo("percival"), "the answer among the sent mail");
        assertThat(String.valueOf(sent.getContent())).startsWith("> ").contains("could you send me the drawing by");
    }

    private String answer() {
        return String.valueOf(browser.js("return document.querySelector('[data-test=answer] textarea').value"));
    }

    /** The thread that is handed over, and how far its mail has come. */
    private String theQuayRoad() {
        for (String turn : List.of("WITH_OTHERS", "NOBODY", "WITH_ME", "CLOSED")) {
            for (JsonNode line : office.setUp()
                    .call("GET", "/api/threads?turn=" + turn, null)
                    .path("lines")) {
                if (line.path("subject").asString("").contains("closing the quay road")) {
                    String path = "/api/threads/" + line.path("id").asString("");
                    return turn + " " + office.setUp().call("GET", path, null) + " "
                            + office.setUp().call("GET", "/api/outbox", null);
                }
            }
        }
        return "no such thread";
    }

    private MimeMessage sentTo(String name) {
        List<MimeMessage> sent = office.quay().mail().messages(MerrowQuay.OWN, "Sent");
        for (MimeMessage each : sent) {
            try {
                boolean here = each.getSentDate().toInstant().isAfter(Days.WORKING_DAY);
                if (here && each.getHeader("To", ",").contains(name)) {
                    return each;
                }
            } catch (jakarta.mail.MessagingException e) {
                throw new IllegalStateException(e);
            }
        }
        return null;
    }

    @Test
    void aMessageIsHandedOverAndTheThreadWaitsForWhoGotIt() {
        openMessage("Harriet Pole");
        untilPressed("hand-over", "h");
        browser.type("[data-test=hand-over-to]", "gus@merrowquay.example", Keys.ENTER);
        browser.untilText("Handed over to gus@merrowquay.example");
        browser.until(() -> sentTo("gus@merrowquay.example"), "the mail that hands it over");
        // He says within seconds that he will; what he promised is what is waited for from then on.
        browser.until(() -> theQuayRoad().contains("Will do. You will have it on") ? Boolean.TRUE : null, "his answer");
        assertThat(theQuayRoad()).startsWith("WITH_OTHERS");
        browser.open("/threads");
        browser.find("[data-row]");
        browser.press("o");
        browser.untilText("Regatta: closing the quay road");
        browser.untilText("Gus Ferrantpromised by");
    }

    @Test
    void whatOneRoomSaidIsDecidedAsOneAndTakenBackAmongTheDaysChanges() {
        browser.open("/intake");
        browser.clickRow("[data-message]:has([data-test=unfold])");
        assertThat(browser.textOf("[data-test=several]")).contains("messages", "decided as one");
        browser.press(Keys.ARROW_RIGHT);
        browser.untilGone("[data-test=several]");
        browser.press(Keys.ARROW_LEFT);
        browser.find("[data-test=several]");
        browser.press("n");
        browser.untilText("Nothing to do: ");
        browser.open("/changes");
        browser.untilText("What I did today");
        browser.click("[data-test=change] button");
        browser.untilText("taken back");
        browser.untilText("Undone: Nothing to do");
    }

    @Test
    void linesAreCapturedFromAnywhereOneAfterTheOther() {
        browser.open("/threads");
        browser.find("[data-row]");
        untilPressed("capture-field", "+");
        browser.type("[data-test=capture-field]", "paint the ladder by Friday, 45 min, Repairs");
        browser.until(
                () -> browser.shows("[data-test=captured]")
                                && browser.textOf("[data-test=captured]").contains("45 min")
                        ? Boolean.TRUE
                        : null,
                "what was understood");
        browser.press(Keys.ENTER);
        browser.untilText("Made: Paint the ladder");
        browser.type(
                "[data-test=capture-field]",
                "Harbour meeting" + Keys.chord(Keys.SHIFT, Keys.ENTER) + "[ ] put up the sign"
                        + Keys.chord(Keys.SHIFT, Keys.ENTER) + "Gus: check the hoist");
        browser.untilText("Of these notes 2 lines carry an action");
        browser.pressWith(Keys.CONTROL, Keys.ENTER);
        browser.untilText("Made: Put up the sign");
        browser.escape();
        browser.open("/follow-ups");
        browser.untilText("Gus: Check the hoist");
    }

    @Test
    void aSharedPageComesToTheCaptureLineWithItsAddress() {
        browser.open("/capture?title=Tide%20tables&url=https%3A%2F%2Ftides.example%2Fmarch");
        browser.find("[data-test=capture-field]");
        assertThat(browser.textOf("[data-test=capture-note]")).contains("https://tides.example/march");
        browser.click("[data-test=capture-make]");
        browser.untilText("Made: Tide tables");
        browser.escape();
    }

    @Test
    void aKeyOfOnesOwnChoiceCountsInsteadOfTheFirstOne() {
        browser.open("/settings/keys");
        browser.click("[aria-label='Key for Nothing to do']");
        browser.press("f");
        browser.untilText("F is the key for “Follow up”");
        browser.click("[aria-label='Key for Nothing to do']");
        browser.press("z");
        browser.until(
                () -> browser.textOf("[aria-label='Key for Nothing to do']").equals("Z") ? Boolean.TRUE : null,
                "the new key");
        openMessage("Lena Okafor");
        assertThat(browser.textOf("[data-test=decide-nothing]")).contains("Z");
        browser.press("z");
        browser.untilText("Nothing to do: Lena Okafor");
    }
}
