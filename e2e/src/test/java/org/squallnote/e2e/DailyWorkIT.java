package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.support.ui.Select;

/** What is done every day, each thing by itself, in any order: each test prepares what it needs. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class DailyWorkIT {

    private static final String PASSWORD = "a good long password";

    @TempDir
    static Path data;

    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        office = Office.open(data, Days.WORKING_DAY, mail -> {}, "--squallnote.outbox.hold=1s");
        browser = office.browser();
        office.signIn();
    }

    /** The log of the browser, over all that was done. */
    @AfterAll
    void thePageNeverBrokeItsContentPolicy() {
        try {
            assertThat(browser.driver().manage().logs().get(LogType.BROWSER).getAll())
                    .extracting(entry -> entry.getMessage())
                    .noneMatch(message -> message.contains("Content Security Policy"));
        } finally {
            office.close();
        }
    }

    @Test
    void whatIsLookedForIsFoundOpenedAndComeBackTo() {
        browser.open("/today");
        browser.find("[data-test=could-be-done]");
        browser.press("/");
        browser.type("[data-test=find-field]", "inspektion");
        browser.untilText("by similar words");
        browser.until(
                () -> browser.texts("[data-test=found]").stream()
                        .filter(row -> row.contains("Crane inspection"))
                        .findFirst()
                        .orElse(null),
                "the inspection is found");
        browser.type("[data-test=find-field]", Keys.chord(Keys.CONTROL, "a"), "pontoon");
        browser.until(
                () -> browser.texts("[data-test=found]").stream().anyMatch(row -> row.contains("Crane quote"))
                        ? true
                        : null,
                "the quote is found while words are typed");
        browser.press(Keys.ARROW_DOWN);
        String second = browser.textOf("[role=option][aria-selected=true]");
        browser.press(Keys.ENTER);
        browser.until(() -> browser.driver().getCurrentUrl().contains("/find") ? null : true, "it is opened");
        browser.driver().navigate().back();
        browser.until(
                () -> second.equals(browser.textOf("[role=option][aria-selected=true]")) ? true : null,
                "back comes back to the one that was opened");
        browser.click("[data-test=keep]");
        browser.press(Keys.ENTER);
        browser.until(
                () -> browser.texts("[data-test=kept-search]").stream().anyMatch(each -> each.startsWith("pontoon"))
                        ? true
                        : null,
                "it is kept with its count");
    }

    @Test
    void aPersonIsOpenedFromANameAndTalkedWith() {
        browser.open("/intake");
        openMessage("Oona Fairweather");
        browser.click("[data-test=writer]");
        browser.until(
                () -> browser.textOf("[data-test=person]").contains("Oona Fairweather") ? true : null, "Oona's page");
        browser.js("document.activeElement?.blur()");
        browser.press("t");
        browser.type("[data-test=matter]", "the trolley", Keys.ENTER);
        browser.untilText("For the next talk with");
        browser.until(
                () -> browser.textOf("[data-test=next-talk]").contains("the trolley") ? true : null, "it is kept");
        browser.click("[data-test=next-talk] input[type=checkbox]");
        browser.until(() -> browser.shows("[data-test=next-talk] .line-through") ? true : null, "it is ticked off");
    }

    @Test
    void severalFollowUpsAreDecidedAtOnceAndGroupedOtherwise() {
        capture("Polish the bell", "Polish the brass");
        browser.open("/follow-ups");
        browser.until(
                () -> browser.texts("[data-test=follow-up]").stream()
                                        .filter(row -> row.contains("Polish"))
                                        .count()
                                == 2
                        ? true
                        : null,
                "both are there");
        browser.until(
                () -> {
                    browser.press(Keys.ARROW_DOWN);
                    return browser.js(
                                            "return document.querySelector('[data-test=follow-up-bar]') !== null"
                                                    + " && [...document.querySelectorAll('[role=option][aria-current=true], [role=option]')]"
                                                    + ".some((row) => row.querySelector('.bg-kelp-wash')?.innerText.includes('Polish'))")
                                    .equals(true)
                            ? true
                            : null;
                },
                "the first of them is pointed at");
        browser.press(" ");
        browser.pressWith(Keys.SHIFT, Keys.ARROW_DOWN);
        browser.untilText("2 picked");
        browser.press("l");
        browser.type("[data-test=bar-field]", "Workshop", Keys.ENTER);
        browser.untilText("Place changed: 2 follow-ups");
        browser.js("document.activeElement?.blur()");
        new Select(browser.find("[data-test=group-by]")).selectByVisibleText("place");
        browser.until(
                () -> browser.texts("[data-test=group]").contains("Workshop") ? true : null, "a group of their place");
        browser.js("document.activeElement?.blur()");
        browser.press("u");
        browser.until(
                () -> browser.texts("[data-test=group]").contains("Workshop") ? null : true, "both taken back at once");
        new Select(browser.find("[data-test=group-by]")).selectByVisibleText("date");
    }

    private void capture(String... titles) {
        for (String title : titles) {
            browser.open("/follow-ups");
            browser.click("[data-test=capture]");
            browser.type("[data-test=capture-field]", title + ", 5 min");
            browser.press(Keys.ENTER);
            browser.untilText("Follow-up: " + title.replace(" by tomorrow", ""));
        }
    }

    private List<String> inOrder(String words) {
        return browser.texts("[data-test=follow-up]").stream()
                .filter(row -> row.contains(words))
                .map(row -> row.lines()
                        .filter(line -> line.contains(words))
                        .findFirst()
                        .orElse(""))
                .toList();
    }

    private WebElement rowOf(String title) {
        return browser.until(
                () -> browser.all("[data-test=follow-up]").stream()
                        .filter(row -> row.getText().contains(title))
                        .findFirst()
                        .orElse(null),
                "the row of " + title);
    }

    private void drag(WebElement what, WebElement onto, int y) {
        new Actions(browser.driver())
                .moveToElement(what)
                .clickAndHold()
                .moveByOffset(0, 6)
                .moveToElement(onto, 0, y)
                .moveByOffset(1, 0)
                .perform();
        new Actions(browser.driver()).release().perform();
    }

    @Test
    void followUpsAreDraggedIntoMyOwnOrderAndArrangedUnderAName() {
        capture("Tar the first rope", "Tar the second rope", "Tar the third rope", "Oil the winch by tomorrow");
        browser.open("/follow-ups");
        drag(rowOf("third rope"), rowOf("first rope"), -10);
        browser.untilText("Moved: Tar the third rope");
        browser.until(
                () -> inOrder(" rope")
                                .equals(List.of("Tar the third rope", "Tar the first rope", "Tar the second rope"))
                        ? true
                        : null,
                "my own order");
        browser.click("[data-test=filter]");
        browser.until(
                        () -> browser.all("[data-test=filter-value]").stream()
                                .filter(value -> value.getText().contains("Without a date"))
                                .findFirst()
                                .orElse(null),
                        "what has no date is offered")
                .click();
        browser.escape();
        browser.find("[data-test=filter-chosen]");
        browser.js("document.activeElement?.blur()");
        browser.press("a");
        browser.type("[data-test=arrangement-name]", "Short ones");
        browser.type("[data-test=arrangement-letter]", "s", Keys.ENTER);
        browser.untilText("Arrangement kept: Short ones");
        browser.click("[data-test=filter-chosen]");
        browser.untilGone("[data-test=filter-chosen]");
        browser.js("document.activeElement?.blur()");
        browser.press("a");
        browser.find("[data-test=arrangement]");
        browser.press("s");
        browser.find("[data-test=filter-chosen]");
        browser.click("[data-test=filter-chosen]");
        new Select(browser.find("[data-test=order]")).selectByVisibleText("by date");
    }

    /** A PDF of one page without any fonts of its own. */
    private static final String PDF = "%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n"
            + "2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 300 200]"
            + "/Contents 4 0 R/Resources<</Font<</F1 5 0 R>>>>>>endobj\n4 0 obj<</Length 41>>stream\n"
            + "BT /F1 24 Tf 40 120 Td (Certificate) Tj ET\nendstream endobj\n"
            + "5 0 obj<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF";

    @Test
    void whatLiesWithAFollowUpIsShownInPlaceAndWhatIsNeededFirstHoldsItBack(@TempDir Path folder) throws IOException {
        capture("Splice the cable", "Hang the lantern");
        browser.open("/follow-ups");
        Path pdf = Files.writeString(folder.resolve("certificate.pdf"), PDF);
        rowOf("Hang the lantern").click();
        browser.find("[data-test=attached]");
        browser.driver().findElement(By.cssSelector("[data-test=attach-file]")).sendKeys(pdf.toString());
        browser.untilText("certificate.pdf");
        browser.click("[data-test=file]");
        browser.until(
                () -> browser.js("const page = document.querySelector('[data-test=pdf] canvas');"
                                        + " return page !== null && page.width > 300")
                                .equals(true)
                        ? true
                        : null,
                "the page is drawn");
        browser.escape();
        browser.untilGone("[data-test=file-viewer]");
        assertThat(browser.shows("[data-test=attached]"))
                .as("only the file is closed")
                .isTrue();
        browser.click("[data-test=attach-link]");
        browser.type("[data-test=link-url]", "chandler.example/lantern", Keys.ENTER);
        browser.untilText("chandler.example/lantern");
        browser.click("[data-test=open-note]");
        browser.type("[data-test=note]", "Two **brass** hooks");
        browser.click("[data-test=attach-related]");
        browser.until(
                () -> browser.textOf("[data-test=note-read] strong").equals("brass") ? true : null, "the note reads");
        browser.type("[data-test=find-follow-up]", "splice", Keys.ENTER);
        browser.find("[data-test=related]");
        browser.escape();
        browser.untilGone("[data-test=attached]");
        browser.until(() -> inOrder("lantern").isEmpty() ? true : null, "it is held back");
        rowOf("Splice the cable")
                .findElement(By.cssSelector("[data-test=tick]"))
                .click();
        browser.untilText("what was needed first has ended: Splice the cable");
    }

    @Test
    void aVCardBringsANumberAndAListIsMailed(@TempDir Path folder) throws IOException {
        Path card = Files.writeString(
                folder.resolve("otto.vcf"),
                "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Otto Quill\r\nEMAIL:otto@pilots.example\r\n"
                        + "TEL;TYPE=cell:+44 7700 900123\r\nORG:Merrow Pilots\r\nEND:VCARD\r\n");
        browser.open("/people/otto@pilots.example");
        browser.find("[data-test=person]");
        browser.driver().findElement(By.cssSelector("[data-test=cards-in]")).sendKeys(card.toString());
        browser.untilText("One person from a vCard");
        browser.until(() -> browser.textOf("[data-test=contact]").contains("Merrow Pilots") ? true : null, "the house");
        capture("Tell the pilots");
        browser.open("/follow-ups");
        browser.click("[data-test=list-out]");
        browser.type("[data-test=list-to]", "otto@pilots.example");
        browser.type("[data-test=list-words]", "For Thursday.");
        browser.click("[data-test=list-mail]");
        browser.untilText("List mailed to otto@pilots.example");
    }

    @Test
    void whatIsDoneStandsInTheRecord() {
        capture("Wind the harbour clock");
        browser.open("/follow-ups");
        rowOf("Wind the harbour clock")
                .findElement(By.cssSelector("[data-test=tick]"))
                .click();
        browser.untilText("Done: Wind the harbour clock");
        browser.js("document.activeElement?.blur()");
        browser.press("7");
        browser.until(
                () -> browser.texts("[data-test=ended]").stream()
                                .anyMatch(row -> row.contains("Wind the harbour clock"))
                        ? true
                        : null,
                "it stands in the record");
        browser.press(Keys.ARROW_DOWN);
        browser.press("n");
        browser.type("[data-test=record-note]", "with the long key", Keys.ENTER);
        browser.untilText("with the long key");
    }

    @Test
    void threeMessagesAreDecidedByKeyboard() {
        browser.open("/intake");
        openMessage("Tilda Brandt");
        assertThat(browser.textOf("[data-test=ask]")).startsWith("Could you send me the berth plan");
        assertThat(browser.textOf("[data-test=date]")).isEqualTo("before Friday");
        assertThat(browser.textOf("[data-test=reading]")).contains("Asks you, since");
        browser.press("f");
        browser.find("[data-test=sentence]");
        assertThat(browser.textOf("[data-test=reply-by-reason]")).isEqualTo("because “before Friday”");
        browser.type("[data-test=category]", Keys.ENTER);
        browser.find("[role=option]");
        browser.press(Keys.HOME);
        browser.press(Keys.ENTER);
        browser.type("[data-test=sentence] input", Keys.ENTER);
        browser.untilText("Follow-up: Send Tilda the berth plan for pontoon C");
        browser.until(() -> listed().contains("Tilda Brandt") ? null : true, "Tilda's message decided");

        openMessage("Chandlery Lane");
        browser.press("n");
        browser.untilText("Nothing to do: Chandlery Lane");

        openMessage("Ivy Thornton");
        browser.press("a");
        browser.type("[data-test=answer] textarea", "We have one for you, with power.");
        browser.pressWith(Keys.CONTROL, Keys.ENTER);
        browser.untilText("Answer to Ivy Thornton");
    }

    @Test
    void undoByKeyBringsAMessageBack() {
        browser.open("/intake");
        openMessage("Harbour Pilot Weekly", "tides, tales and tar");
        browser.press("n");
        browser.until(() -> isListed("tides, tales and tar") ? null : true, "the message gone");
        browser.press("u");
        browser.row("[data-message][title*='tides, tales and tar']");
    }

    @Test
    void theFollowUpLeadsBackToItsMessage() {
        Office.Written asked = office.written("noor", "Ledger", "Could you scan the ledger of the slipway?");
        String followUp = office.followUp(asked.id(), "Scan the ledger");
        browser.open("/follow-ups");
        browser.click("[data-follow-up='" + followUp + "']");
        browser.find("[data-test=snapshot]");
        assertThat(browser.text()).contains("Could you scan the ledger of the slipway?");
        browser.click("[data-test=way-back]");
        WebElement pointed = browser.find("[data-test=thread-message][data-pointed=true]");
        assertThat(pointed.getText()).contains("Could you scan the ledger");
    }

    @Test
    void theTurnChangesWithMyAnswerAndWithTheirs() {
        String message = idOf("Oona Fairweather", "Could we have the slipway");
        office.answer(message, "That is fine, the slipway is yours from nine.");
        browser.open("/threads");
        browser.until(
                () -> threadLine("Slipway for two boats").contains("Do we need to bring our own trolley?")
                        ? true
                        : null,
                "what I owe Oona now");
        openThread("Slipway for two boats");
        browser.untilText("That is fine, the slipway is yours from nine.");
        assertThat(browser.textOf("[data-test=turn]")).isEqualTo("With me");
        assertThat(browser.textOf("[data-test=owed]")).contains("I owe Oona Fairweather");
        browser.escape();
    }

    @Test
    void whatOthersOweStandsInItsOwnList() {
        browser.open("/threads");
        browser.click("[data-test=turn-WITH_OTHERS]");
        String owed = browser.until(
                () -> threadLine("Electricity bill of the café").isEmpty()
                        ? null
                        : threadLine("Electricity bill of the café"),
                "what Wilma owes");
        assertThat(owed).contains("Wilma Prosser", "could you send me a copy of last quarter's");
    }

    @Test
    void aClosedThreadOpensAgainWhenTheyWrite() {
        Office.Written asked = office.written("felix", "Dredger", "Could you clear the fairway for the dredger?");
        browser.open("/threads/" + office.threadOf(asked.id()));
        browser.click("[data-test=close-ANSWERED]");
        browser.find("[data-test=open-again]");
        assertThat(browser.textOf("[data-test=turn]")).isEqualTo("Closed as answered");
        // Mail is dated in whole seconds: what is of the same second as what was closed is not newer.
        Instant closed = Instant.now();
        browser.until(() -> Instant.now().isAfter(closed.plusSeconds(1)) ? true : null, "the next second");
        office.quay()
                .life()
                .write("felix", "Re: Dredger", List.of(asked.mailId()), "One more thing: is the winch working?");
        browser.untilText("Opened again, since they ask something.");
        browser.untilText("is the winch working?");
        assertThat(browser.textOf("[data-test=turn]")).isEqualTo("With me");
        browser.escape();
    }

    @Test
    void aNewMessageIsOnTheScreenWithoutAReloadInBothTabs() {
        browser.open("/intake");
        String first = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(WindowType.TAB);
        browser.open("/intake");
        String second = browser.driver().getWindowHandle();
        browser.toWindow(first);
        long sent = System.nanoTime();
        office.quay().life().write("ruben", "Spreaders", "Could the small crane be free on Thursday?");
        browser.row("[data-message][title*='Could the small crane be free']");
        System.out.printf("A message is on the screen %.1f s after it was sent%n", (System.nanoTime() - sent) / 1e9);
        browser.toWindow(second);
        openMessage("Ruben Castile", "Could the small crane be free");
        browser.press("n");
        browser.toWindow(first);
        browser.until(
                () -> browser.all("[data-test=intake-list] [data-message]").stream()
                                .noneMatch(row -> row.getText().contains("Could the small crane be free"))
                        ? true
                        : null,
                "the message gone in the other tab");
        browser.toWindow(second);
        browser.driver().close();
        browser.toWindow(first);
    }

    @Test
    void aFollowUpEndsWhenMyAnswerIsSeen() {
        Office.Written asked = office.written("stellan", "Plan", "Could you send me the plan of the north pier?");
        String followUp = office.followUp(asked.id(), "Send Stellan the plan");
        browser.open("/follow-ups");
        browser.click("[data-follow-up='" + followUp + "']");
        browser.click("[data-test=way-back]");
        browser.click("[data-test=thread-message][data-pointed=true] a[href^='/intake/']");
        browser.click("[data-test=decide-answer]");
        browser.type("[data-test=answer] textarea", "Here is the plan.");
        browser.click("[data-test=send]");
        browser.untilText("Done, since your answer was seen: Send Stellan the plan");
        browser.click("[data-test=undo]");
        browser.untilText("Undone: Done, since your answer was seen");
        browser.open("/follow-ups");
        browser.find("[data-test=follow-up][data-state=OPEN][title^='Send Stellan']");
    }

    @Test
    void whatWasReadIsCorrectedByOneKeyAndRemembered() {
        browser.open("/intake");
        openMessage("Bo Lindgren", "afternoon off");
        browser.press("w");
        browser.untilText("Asks you nothing, since you said so");
        browser.press("u");
        browser.until(
                () -> browser.textOf("[data-test=reading]").startsWith("Asks you, since") ? true : null,
                "the correction undone");
        openMessage("Harbour Pilot Weekly", "tides, tales and tar");
        browser.click("[data-test=wrong-always]");
        browser.untilText("Always asks you: everything from");
        browser.open("/settings/senders");
        browser.untilText("always asks me");
        browser.click("[data-test=party-rule] button");
        browser.untilText("Nothing yet.");
    }

    @Test
    void anotherWorkingWeekIsReadAgain() {
        browser.open("/settings/working-time");
        try {
            browser.click("[data-day=FRIDAY] input[type=checkbox]");
            new Select(browser.find("select[name=region]")).selectByValue("gb-sct");
            browser.click("[data-test=working-time] button[type=submit]");
            browser.untilText("Working time saved");
            browser.untilText("Next:");
            browser.open("/settings/working-time");
            assertThat(browser.textOf("[data-day=FRIDAY]")).contains("off");
        } finally {
            browser.click("[data-day=FRIDAY] input[type=checkbox]");
            browser.click("[data-test=working-time] button[type=submit]");
            browser.untilText("Working time saved");
        }
    }

    @Test
    void aDraftSurvivesAReload() {
        browser.open("/intake");
        openMessage("Percival Drake");
        String address = browser.driver().getCurrentUrl();
        browser.press("a");
        browser.type("[data-test=answer] textarea", "Dear Mr Drake, half a");
        browser.driver().get(address);
        browser.click("[data-test=decide-answer]");
        assertThat(browser.find("[data-test=answer] textarea").getDomProperty("value"))
                .isEqualTo("Dear Mr Drake, half a");
        browser.escape();
    }

    @Test
    void aReloadShowsTheSame() {
        office.followUp(idOf("Wilma Prosser", ""), "Measure the terrace");
        browser.open("/follow-ups");
        browser.untilText("Measure the terrace");
        String before = browser.textOf("main");
        browser.driver().navigate().refresh();
        browser.untilText("Measure the terrace");
        assertThat(browser.textOf("main")).isEqualTo(before);
    }

    @Test
    void aSecondUserSeesNothingOfThis() {
        browser.open("/settings/account");
        browser.type("input[name=new-name]", "Bo Lindgren");
        browser.type("input[name=new-sign-in]", "bo");
        browser.type("input[name=new-password]", PASSWORD);
        browser.click("[data-test=add-account] button");
        browser.untilText("Bo Lindgren can sign in as bo");
        try (Browser other = new Browser(office.application().address())) {
            other.signIn("bo", PASSWORD);
            other.untilText("Intake is empty");
            other.open("/follow-ups");
            other.untilText("Nothing to follow up");
            other.open("/threads");
            other.untilText("Nobody waits for you.");
            other.open("/settings/sources");
            other.untilText("Nothing is connected yet.");
        }
    }

    private String idOf(String from, String about) {
        for (var line : office.setUp().call("GET", "/api/intake", null).path("lines")) {
            if (line.path("from").asString("").equals(from)
                    && line.path("about").asString("").contains(about)) {
                return line.path("id").asString("");
            }
        }
        throw new AssertionError("Nothing from " + from + " in Intake");
    }

    private void openMessage(String from) {
        openMessage(from, "");
    }

    private void openMessage(String from, String about) {
        String saying = about.isEmpty() ? "" : "[title*='" + about + "']";
        browser.clickRow("[data-message][title^='" + from + "']" + saying);
        browser.until(() -> browser.textOf("article header").contains(from) ? true : null, "the message of " + from);
    }

    private boolean isListed(String about) {
        return browser.texts("[data-test=intake-list] [data-message]").stream().anyMatch(row -> row.contains(about));
    }

    private List<String> listed() {
        return browser.texts("[data-test=intake-list] [data-message]").stream()
                .map(row -> row.lines().findFirst().orElse(""))
                .toList();
    }

    private String threadLine(String subject) {
        return browser.texts("[data-test=threads] tbody tr").stream()
                .filter(text -> text.contains(subject))
                .findFirst()
                .orElse("");
    }

    private void openThread(String subject) {
        browser.until(
                () -> browser.all("[data-test=threads] tbody tr button").stream()
                        .filter(row -> row.getText().contains(subject))
                        .findFirst()
                        .map(row -> {
                            row.click();
                            return true;
                        })
                        .orElse(null),
                "the thread " + subject);
    }
}
