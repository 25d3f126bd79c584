package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;

/** Intake after two days off: more than a hundred messages, decided in one sitting. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class SittingIT {

    @TempDir
    static Path data;

    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        office = Office.open(data, Days.WORKING_DAY, PierMail::fill);
        browser = office.browser();
        office.signIn();
    }

    @AfterAll
    void close() {
        office.close();
    }

    @BeforeEach
    void openIntake() {
        browser.open("/intake");
    }

    private int left() {
        return Integer.parseInt(browser.textOf("[data-test=progress]").split(" ")[0]);
    }

    /** The row of the first message from somebody, in the middle of the list. */
    private WebElement scrolledTo(String from) {
        return browser.row("[data-message][title^='" + from + "']");
    }

    private void openFirst(String from) {
        String id = scrolledTo(from).getAttribute("data-message");
        browser.clickRow("[data-message='" + id + "']");
        browser.until(() -> openMessage().equals(id) ? Boolean.TRUE : null, "the message from " + from);
    }

    private void awaitLeft(int count) {
        browser.until(() -> left() == count ? Boolean.TRUE : null, count + " left");
    }

    @Test
    void severalArePickedDecidedAndTakenBackAsOne() {
        int before = left();
        browser.find("article");
        browser.press(Keys.SPACE);
        browser.pressWith(Keys.SHIFT, Keys.ARROW_DOWN);
        browser.pressWith(Keys.SHIFT, Keys.ARROW_DOWN);
        assertThat(browser.textOf("[data-test=several]")).startsWith("3 picked");
        browser.press("n");
        browser.untilText("Nothing to do: 3 messages");
        awaitLeft(before - 3);
        browser.press("u");
        awaitLeft(before);
        browser.untilGone("[data-test=several]");
    }

    @Test
    void manyOfOneKindAreShownBeforeTheyAreDecided() {
        int before = left();
        openFirst("Pier Office 3");
        browser.press(Keys.SPACE);
        browser.press("m");
        browser.press("3");
        int picked = Integer.parseInt(browser.textOf("[data-test=several]").split(" ")[0]);
        assertThat(picked).isGreaterThan(20);
        browser.press("n");
        assertThat(browser.textOf("[data-test=summary]"))
                .contains("Nothing to do about " + picked + " messages", "One undo takes all of them back.");
        browser.press(Keys.ENTER);
        awaitLeft(before - picked);
        browser.click("[data-test=decided-here]");
        browser.untilText("Nothing to do: " + picked + " messages");
        for (WebElement button : browser.all("[data-test=progress] button")) {
            if (button.getText().equals("Undo")) {
                button.click();
                break;
            }
        }
        awaitLeft(before);
        browser.escape();
    }

    @Test
    void whatIsPutOffLeavesTheListAndIsFoundAtItsEnd() {
        int before = left();
        openFirst("Pier Office 2");
        browser.press("p");
        browser.find("[data-test=put-off]");
        browser.press("2");
        browser.press(Keys.ENTER);
        browser.untilText("Put off until");
        awaitLeft(before - 1);
        browser.find("[data-test=put-off-list] summary");
        assertThat(browser.text()).contains("Put off (1)");
        openFirst("Pier Office 4");
        browser.press("p");
        browser.type("[data-test=put-off] [data-test=typed-day]", "in 3 weeks");
        browser.until(
                () -> browser.textOf("[data-test=typed-day-read]").contains("Enter") ? true : null, "the typed date");
        browser.press(Keys.ENTER);
        awaitLeft(before - 2);
    }

    @Test
    void aReplyByDateIsTypedInWords() {
        openFirst("Pier Office 0");
        browser.press("f");
        browser.click("[data-test=reply-by]");
        browser.type("[data-test=typed-day]", "2027-03-06 noon");
        browser.until(
                () -> browser.textOf("[data-test=typed-day-read]").contains("Sat 6 Mar 2027, 12:00") ? true : null,
                "the typed date");
        assertThat(browser.textOf("[data-test=typed-day-read]")).contains("is a day off");
        browser.press(Keys.ENTER);
        browser.untilGone("[data-test=typed-day]");
        assertThat(browser.textOf("[data-test=reply-by]")).contains("Sat 6 Mar 2027, 12:00");
        assertThat(browser.textOf("[data-test=day-notice]")).contains("is a day off");
        browser.type("[data-test=sentence] input", Keys.ESCAPE);
        browser.untilGone("[data-test=sentence]");
    }

    @Test
    void aDateThatBeginsWithADigitIsTypedWholeAndDoesNothingElse() {
        openFirst("Pier Office 0");
        browser.press("f");
        browser.find("[data-test=sentence]");
        browser.press("r");
        browser.find("[data-test=typed-day]");
        browser.press("15 dec 2027");
        browser.until(
                () -> browser.textOf("[data-test=typed-day-read]").contains("Wed 15 Dec 2027") ? true : null,
                "the typed date");
        browser.press(Keys.ENTER);
        browser.untilGone("[data-test=typed-day]");
        assertThat(browser.textOf("[data-test=reply-by]")).contains("Wed 15 Dec 2027");
        assertThat(browser.all("[data-test=capture-field]"))
                .as("opened by the c of dec")
                .isEmpty();
        browser.press("r");
        browser.find("[data-test=typed-day]");
        browser.press(Keys.ESCAPE);
        browser.untilGone("[data-test=typed-day]");
        assertThat(browser.all("[data-test=sentence]"))
                .as("closed with its panel")
                .hasSize(1);
        browser.press(Keys.ESCAPE);
        browser.untilGone("[data-test=sentence]");
    }

    @Test
    void draggedMessagesBecomeFollowUpsOfADay() {
        int before = left();
        WebElement row = scrolledTo("Pier Office 6");
        new Actions(browser.driver())
                .moveToElement(row)
                .clickAndHold()
                .moveByOffset(60, 4)
                .moveByOffset(300, 4)
                .perform();
        WebElement day = browser.find("[data-test=drop-day]");
        new Actions(browser.driver()).moveToElement(day).release().perform();
        browser.untilText("Followed up: 1 message");
        browser.untilGone("[data-test=drop-targets]");
        awaitLeft(before - 1);
    }

    @Test
    void aListBesideTheMailTakesWhatIsLetGoOnIt() {
        int before = left();
        browser.press("v");
        WebElement strip = browser.find("[data-test=strip]");
        WebElement row = scrolledTo("Pier Office 5");
        new Actions(browser.driver())
                .moveToElement(row)
                .clickAndHold()
                .moveByOffset(60, 4)
                .moveByOffset(300, 4)
                .perform();
        browser.find("[data-test=drop-targets]");
        new Actions(browser.driver())
                .moveToElement(strip)
                .moveByOffset(0, 5)
                .release()
                .perform();
        browser.untilText("Followed up: 1 message");
        awaitLeft(before - 1);
        browser.press("v");
        browser.untilGone("[data-test=strip]");
    }

    @Test
    void aMessageIsAddedToAFollowUpFoundByAFewLetters() {
        openFirst("Pier Office 7");
        office.followUp(openMessage(), "Sweep the seventh pier");
        browser.open("/intake");
        int before = left();
        openFirst("Pier Office 8");
        browser.press("g");
        browser.type("[data-test=add-to] input", "seventh");
        browser.until(
                () -> browser.all("[data-test=add-to] [role=option]").size() == 1 ? Boolean.TRUE : null,
                "one follow-up with these letters");
        browser.press(Keys.ENTER);
        browser.untilText("Added to: ");
        awaitLeft(before - 1);
    }

    @Test
    void whatNeedsNothingEverIsListedAmongTheSenders() {
        int before = left();
        openFirst("Pier Office 9");
        browser.pressWith(Keys.SHIFT, "n");
        browser.find("[data-test=always]");
        browser.press(Keys.ENTER);
        browser.untilText("Past Intake from now on: everything from Pier Office 9");
        browser.until(() -> left() < before ? Boolean.TRUE : null, "fewer messages");
        browser.open("/settings/senders");
        assertThat(browser.textOf("[data-test=past-intake]")).contains("goes past Intake");
        browser.open("/intake");
    }

    private String openMessage() {
        return String.valueOf(browser.find("article").getAttribute("data-message"));
    }
}
