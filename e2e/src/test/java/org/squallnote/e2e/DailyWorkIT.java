package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.support.ui.Select;
import org.squallnote.standins.scenario.MerrowQuay;

/** A first day with Squallnote, from the first visit on; each step goes on where the one before ended. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class DailyWorkIT {

    private static final String PASSWORD = "a good long password";

    @TempDir
    static Path data;

    private Quay quay;
    private Application application;
    private Browser browser;

    @BeforeAll
    void open() throws IOException {
        quay = Quay.open();
        application = new Application(data, "--squallnote.outbox.hold=2s").start();
        browser = new Browser(application.address());
    }

    @AfterAll
    void close() {
        if (browser != null) {
            browser.close();
        }
        application.close();
        quay.close();
    }

    @Test
    @Order(1)
    void theFirstVisitMakesTheOwnersAccount() {
        browser.open("/");
        browser.untilText("Make the owner's account");
        browser.find("input[name=name]").sendKeys("Ines Calloway");
        browser.find("input[name=username]").sendKeys("ines");
        browser.find("input[name=password]").sendKeys(PASSWORD);
        browser.find("button[type=submit]").click();
        browser.untilText("Intake is empty");
    }

    @Test
    @Order(2)
    void aMailAccountIsTestedStepByStepAndConnected() {
        browser.open("/settings/sources");
        browser.find("[data-test=add-mail]").click();
        browser.find("input[name=address]").sendKeys(MerrowQuay.OWN);
        browser.find("input[name=fromName]").sendKeys("Ines Calloway");
        browser.find("input[name=password]").sendKeys("wrong");
        server("imap", quay.mail().imapPort());
        server("smtp", quay.mail().smtpPort());
        browser.find("[data-test=test]").click();
        browser.untilText("The server refused the user name or password");
        WebElement password = browser.find("input[name=password]");
        password.clear();
        password.sendKeys(MerrowQuay.PASSWORD);
        browser.find("[data-test=test]").click();
        browser.untilText("New mail is announced at once.");
        assertThat(browser.text()).contains("Sent mail: Sent", "Signed in without encryption, on this machine.");
        browser.find("[data-test=save]").click();
        browser.find("[data-status=LIVE]");
    }

    private void server(String kind, int port) {
        browser.find("input[name=" + kind + "-host]").clear();
        browser.find("input[name=" + kind + "-host]").sendKeys("127.0.0.1");
        new Select(browser.find("select[name=" + kind + "-encryption]")).selectByValue("NONE");
        browser.js(
                "const f = document.querySelector(arguments[0]); f.value = arguments[1]; f.dispatchEvent(new Event('input'))",
                "input[name=" + kind + "-port]",
                String.valueOf(port));
    }

    @Test
    @Order(3)
    void aChatAccountIsConnected() {
        browser.find("[data-test=add-chat]").click();
        browser.find("input[name=name]").sendKeys("Harbour chat");
        browser.find("input[name=homeserver]").clear();
        browser.find("input[name=homeserver]").sendKeys(quay.chat().address());
        browser.find("input[name=user]").sendKeys("ines");
        browser.find("input[name=password]").sendKeys(MerrowQuay.PASSWORD);
        browser.find("[data-test=save]").click();
        browser.until(() -> browser.all("[data-status=LIVE]").size() == 2 ? true : null, "two live sources");
    }

    @Test
    @Order(4)
    void categoriesAreAdded() {
        browser.open("/settings/categories");
        browser.find("[data-test=add-category] input[name=name]").sendKeys("Crane", Keys.ENTER);
        browser.untilText("Added category Crane");
        browser.find("[data-test=category-row]");
    }

    @Test
    @Order(5)
    void threeMessagesAreDecidedByKeyboard() {
        browser.open("/intake");
        openMessage("Tilda Brandt");
        assertThat(browser.find("[data-test=ask]").getText()).startsWith("Could you send me the berth plan");
        assertThat(browser.find("[data-test=date]").getText()).isEqualTo("before Friday");
        assertThat(browser.find("[data-test=reading]").getText()).contains("Asks you, since");
        browser.press("f");
        browser.find("[data-test=sentence]");
        WebElement category = browser.find("[data-test=category]");
        assertThat(browser.find("[data-test=reply-by-reason]").getText()).isEqualTo("because “before Friday”");
        category.sendKeys(Keys.ENTER);
        browser.find("[role=option]");
        browser.press(Keys.HOME);
        browser.press(Keys.ENTER);
        browser.find("[data-test=sentence] input").sendKeys(Keys.ENTER);
        browser.untilText("Follow-up: Send Tilda the berth plan for pontoon C");
        assertThat(listed()).doesNotContain("Tilda Brandt");

        openMessage("Chandlery Lane");
        browser.press("n");
        browser.untilText("Nothing to do: Chandlery Lane");

        openMessage("Oona Fairweather", "Could we have the slipway");
        browser.press("a");
        browser.find("[data-test=answer] textarea").sendKeys("Saturday is fine, the slipway is yours from nine.");
        browser.pressWith(Keys.CONTROL, Keys.ENTER);
        browser.untilText("Answer to Oona Fairweather");
    }

    @Test
    @Order(6)
    void undoByKeyBringsAMessageBack() {
        openMessage("Harbour Pilot Weekly", "tides, tales and tar");
        browser.press("n");
        browser.until(() -> isListed("tides, tales and tar") ? null : true, "the message gone");
        browser.press("u");
        browser.until(() -> isListed("tides, tales and tar") ? true : null, "the message back");
    }

    @Test
    @Order(7)
    void theFollowUpLeadsBackToItsMessage() {
        browser.open("/follow-ups");
        browser.find("[data-test=follow-up] [data-follow-up]").click();
        browser.find("[data-test=snapshot]");
        assertThat(browser.text()).contains("Could you send me the berth plan for pontoon C");
        browser.find("[data-test=way-back]").click();
        WebElement pointed = browser.find("[data-test=thread-message][data-pointed=true]");
        assertThat(pointed.getText()).contains("Could you send me the berth plan");
    }

    @Test
    @Order(8)
    void theTurnChangesWithMyAnswerAndWithTheirs() {
        // The answer of step 5 has gone out by now; Oona has answered it and asks something else.
        browser.open("/threads");
        browser.until(
                () -> threadLine("Slipway on Saturday").contains("Do we need to bring our own trolley?") ? true : null,
                "what I owe Oona now");
        openThread("Slipway on Saturday");
        browser.untilText("Saturday is fine, the slipway is yours from nine.");
        assertThat(browser.find("[data-test=turn]").getText()).isEqualTo("With me");
        assertThat(browser.find("[data-test=owed]").getText()).contains("I owe Oona Fairweather");
        browser.escape();

        browser.open("/threads");
        browser.find("[data-test=turn-WITH_OTHERS]").click();
        String owed = browser.until(
                () -> threadLine("Electricity bill of the café").isEmpty()
                        ? null
                        : threadLine("Electricity bill of the café"),
                "what Wilma owes");
        assertThat(owed).contains("Wilma Prosser", "could you send me a copy of last quarter's");
    }

    @Test
    @Order(9)
    void aClosedThreadOpensAgainWhenTheyWrite() {
        browser.open("/threads");
        openThread("Slipway on Saturday");
        browser.find("[data-test=close-ANSWERED]").click();
        browser.find("[data-test=open-again]");
        assertThat(browser.find("[data-test=turn]").getText()).isEqualTo("Closed as answered");
        quay.life().writeAgain("oona", "One more thing: is the winch working?");
        browser.untilText("Opened again, since they ask something.");
        browser.untilText("is the winch working?");
        assertThat(browser.find("[data-test=turn]").getText()).isEqualTo("With me");
        browser.escape();
    }

    @Test
    @Order(10)
    void aNewMessageIsOnTheScreenWithoutAReloadInBothTabs() {
        browser.open("/intake");
        String first = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(WindowType.TAB);
        browser.open("/intake");
        String second = browser.driver().getWindowHandle();
        browser.driver().switchTo().window(first);
        long sent = System.nanoTime();
        quay.life().write("ruben", "Spreaders", "Could the small crane be free on Thursday?");
        browser.until(() -> listed().contains("Ruben Castile") ? true : null, "Ruben's message");
        System.out.printf("A message is on the screen %.1f s after it was sent%n", (System.nanoTime() - sent) / 1e9);
        browser.driver().switchTo().window(second);
        openMessage("Ruben Castile", "Could the small crane be free");
        browser.press("n");
        browser.driver().switchTo().window(first);
        browser.until(
                () -> browser.all("[data-test=intake-list] button").stream()
                                .noneMatch(row -> row.getText().contains("Could the small crane be free"))
                        ? true
                        : null,
                "the message gone in the other tab");
        browser.driver().switchTo().window(second);
        browser.driver().close();
        browser.driver().switchTo().window(first);
    }

    @Test
    @Order(11)
    void aFollowUpEndsWhenMyAnswerIsSeen() {
        browser.open("/follow-ups");
        browser.find("[data-test=follow-up] [data-follow-up]").click();
        browser.find("[data-test=way-back]").click();
        browser.find("[data-test=thread-message][data-pointed=true] a").click();
        browser.find("[data-test=decide-answer]").click();
        browser.find("[data-test=answer] textarea").sendKeys("Here is the plan.");
        browser.find("[data-test=send]").click();
        browser.untilText("Done, since your answer was seen: Send Tilda the berth plan");
        browser.find("[data-test=undo]").click();
        browser.untilText("Undone: Done, since your answer was seen");
        browser.open("/follow-ups");
        browser.find("[data-test=follow-up] [aria-label^='Done: Send Tilda']");
    }

    @Test
    @Order(12)
    void whatWasReadIsCorrectedByOneKeyAndRemembered() {
        browser.open("/intake");
        openMessage("Bo Lindgren", "Can I have Friday afternoon off");
        browser.press("w");
        browser.untilText("Asks you nothing, since you said so");
        browser.press("u");
        browser.until(
                () -> browser.find("[data-test=reading]").getText().startsWith("Asks you, since") ? true : null,
                "the correction undone");
        openMessage("Harbour Pilot Weekly", "tides, tales and tar");
        browser.find("[data-test=wrong-always]").click();
        browser.untilText("Always asks you: everything from");
        browser.open("/settings/senders");
        browser.untilText("always asks me");
        browser.find("[data-test=party-rule] button").click();
        browser.untilText("Nothing yet.");
    }

    @Test
    @Order(13)
    void anotherWorkingWeekIsReadAgain() {
        browser.open("/settings/working-time");
        browser.find("[data-day=FRIDAY] input[type=checkbox]").click();
        new Select(browser.find("select[name=region]")).selectByValue("gb-eng");
        browser.find("[data-test=working-time] button[type=submit]").click();
        browser.untilText("Working time saved");
        browser.untilText("Next:");
        browser.open("/settings/working-time");
        assertThat(browser.find("[data-day=FRIDAY]").getText()).contains("off");
    }

    @Test
    @Order(14)
    void aDraftSurvivesAReload() {
        browser.open("/intake");
        openMessage("Percival Drake");
        String address = browser.driver().getCurrentUrl();
        browser.press("a");
        browser.find("[data-test=answer] textarea").sendKeys("Dear Mr Drake, half a");
        browser.driver().get(address);
        browser.find("[data-test=decide-answer]").click();
        assertThat(browser.find("[data-test=answer] textarea").getDomProperty("value"))
                .isEqualTo("Dear Mr Drake, half a");
        browser.escape();
    }

    @Test
    @Order(15)
    void aReloadShowsTheSame() {
        browser.open("/follow-ups");
        browser.find("[data-test=follow-up]");
        String before = browser.find("main").getText();
        browser.driver().navigate().refresh();
        browser.find("[data-test=follow-up]");
        assertThat(browser.find("main").getText()).isEqualTo(before);
    }

    @Test
    @Order(16)
    void aSecondUserSeesNothingOfThis() {
        browser.open("/settings/account");
        browser.find("input[name=new-name]").sendKeys("Bo Lindgren");
        browser.find("input[name=new-sign-in]").sendKeys("bo");
        browser.find("input[name=new-password]").sendKeys(PASSWORD);
        browser.find("[data-test=add-account] button").click();
        browser.untilText("Bo Lindgren can sign in as bo");
        try (Browser other = new Browser(application.address())) {
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

    @Test
    @Order(17)
    void thePageNeverBrokeItsContentPolicy() {
        assertThat(browser.driver().manage().logs().get(LogType.BROWSER).getAll())
                .extracting(entry -> entry.getMessage())
                .noneMatch(message -> message.contains("Content Security Policy"));
    }

    private void openMessage(String from) {
        openMessage(from, "");
    }

    private void openMessage(String from, String about) {
        browser.until(
                () -> browser.all("[data-test=intake-list] button").stream()
                        .filter(row ->
                                row.getText().startsWith(from) && row.getText().contains(about))
                        .findFirst()
                        .map(row -> {
                            browser.js("arguments[0].scrollIntoView({block: 'center'})", row);
                            row.click();
                            return true;
                        })
                        .orElse(null),
                "a message from " + from);
        browser.until(
                () -> browser.find("article header").getText().contains(from) ? true : null, "the message of " + from);
    }

    private boolean isListed(String about) {
        return browser.all("[data-test=intake-list] button").stream()
                .anyMatch(row -> row.getText().contains(about));
    }

    private List<String> listed() {
        return browser.all("[data-test=intake-list] button").stream()
                .map(row -> row.getText().lines().findFirst().orElse(""))
                .toList();
    }

    private String threadLine(String subject) {
        return browser.all("[data-test=threads] tbody tr").stream()
                .map(WebElement::getText)
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
