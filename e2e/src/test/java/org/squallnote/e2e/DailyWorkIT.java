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
        browser.type("input[name=name]", "Ines Calloway");
        browser.type("input[name=username]", "ines");
        browser.type("input[name=password]", PASSWORD);
        browser.click("button[type=submit]");
        browser.untilText("Intake is empty");
    }

    @Test
    @Order(2)
    void aMailAccountIsTestedStepByStepAndConnected() {
        browser.open("/settings/sources");
        browser.click("[data-test=add-mail]");
        browser.type("input[name=address]", MerrowQuay.OWN);
        browser.type("input[name=fromName]", "Ines Calloway");
        browser.type("input[name=password]", "wrong");
        server("imap", quay.mail().imapPort());
        server("smtp", quay.mail().smtpPort());
        browser.click("[data-test=test]");
        browser.untilText("The server refused the user name or password");
        WebElement password = browser.find("input[name=password]");
        password.clear();
        password.sendKeys(MerrowQuay.PASSWORD);
        browser.click("[data-test=test]");
        browser.untilText("New mail is announced at once.");
        assertThat(browser.text()).contains("Sent mail: Sent", "Signed in without encryption, on this machine.");
        browser.click("[data-test=save]");
        browser.find("[data-status=LIVE]");
    }

    private void server(String kind, int port) {
        browser.find("input[name=" + kind + "-host]").clear();
        browser.type("input[name=" + kind + "-host]", "127.0.0.1");
        new Select(browser.find("select[name=" + kind + "-encryption]")).selectByValue("NONE");
        browser.js(
                "const f = document.querySelector(arguments[0]); f.value = arguments[1]; f.dispatchEvent(new Event('input'))",
                "input[name=" + kind + "-port]",
                String.valueOf(port));
    }

    @Test
    @Order(3)
    void aChatAccountIsConnected() {
        browser.click("[data-test=add-chat]");
        browser.type("input[name=name]", "Harbour chat");
        browser.find("input[name=homeserver]").clear();
        browser.type("input[name=homeserver]", quay.chat().address());
        browser.type("input[name=user]", "ines");
        browser.type("input[name=password]", MerrowQuay.PASSWORD);
        browser.click("[data-test=save]");
        browser.until(() -> browser.all("[data-status=LIVE]").size() == 2 ? true : null, "two live sources");
    }

    @Test
    @Order(4)
    void categoriesAreAdded() {
        browser.open("/settings/categories");
        browser.type("[data-test=add-category] input[name=name]", "Crane", Keys.ENTER);
        browser.untilText("Added category Crane");
        browser.find("[data-test=category-row]");
    }

    @Test
    @Order(5)
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

        openMessage("Oona Fairweather", "Could we have the slipway");
        browser.press("a");
        browser.type("[data-test=answer] textarea", "Saturday is fine, the slipway is yours from nine.");
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
        browser.click("[data-test=follow-up] [data-follow-up]");
        browser.find("[data-test=snapshot]");
        assertThat(browser.text()).contains("Could you send me the berth plan for pontoon C");
        browser.click("[data-test=way-back]");
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
        assertThat(browser.textOf("[data-test=turn]")).isEqualTo("With me");
        assertThat(browser.textOf("[data-test=owed]")).contains("I owe Oona Fairweather");
        browser.escape();

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
    @Order(9)
    void aClosedThreadOpensAgainWhenTheyWrite() {
        browser.open("/threads");
        openThread("Slipway on Saturday");
        browser.click("[data-test=close-ANSWERED]");
        browser.find("[data-test=open-again]");
        assertThat(browser.textOf("[data-test=turn]")).isEqualTo("Closed as answered");
        quay.life().writeAgain("oona", "One more thing: is the winch working?");
        browser.untilText("Opened again, since they ask something.");
        browser.untilText("is the winch working?");
        assertThat(browser.textOf("[data-test=turn]")).isEqualTo("With me");
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
        browser.click("[data-test=follow-up] [data-follow-up]");
        browser.click("[data-test=way-back]");
        browser.click("[data-test=thread-message][data-pointed=true] a");
        browser.click("[data-test=decide-answer]");
        browser.type("[data-test=answer] textarea", "Here is the plan.");
        browser.click("[data-test=send]");
        browser.untilText("Done, since your answer was seen: Send Tilda the berth plan");
        browser.click("[data-test=undo]");
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
    @Order(13)
    void anotherWorkingWeekIsReadAgain() {
        browser.open("/settings/working-time");
        browser.click("[data-day=FRIDAY] input[type=checkbox]");
        new Select(browser.find("select[name=region]")).selectByValue("gb-eng");
        browser.click("[data-test=working-time] button[type=submit]");
        browser.untilText("Working time saved");
        browser.untilText("Next:");
        browser.open("/settings/working-time");
        assertThat(browser.textOf("[data-day=FRIDAY]")).contains("off");
    }

    @Test
    @Order(14)
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
    @Order(15)
    void aReloadShowsTheSame() {
        browser.open("/follow-ups");
        browser.find("[data-test=follow-up]");
        String before = browser.textOf("main");
        browser.driver().navigate().refresh();
        browser.find("[data-test=follow-up]");
        assertThat(browser.textOf("main")).isEqualTo(before);
    }

    @Test
    @Order(16)
    void aSecondUserSeesNothingOfThis() {
        browser.open("/settings/account");
        browser.type("input[name=new-name]", "Bo Lindgren");
        browser.type("input[name=new-sign-in]", "bo");
        browser.type("input[name=new-password]", PASSWORD);
        browser.click("[data-test=add-account] button");
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
        browser.until(() -> browser.textOf("article header").contains(from) ? true : null, "the message of " + from);
    }

    private boolean isListed(String about) {
        return browser.texts("[data-test=intake-list] button").stream().anyMatch(row -> row.contains(about));
    }

    private List<String> listed() {
        return browser.texts("[data-test=intake-list] button").stream()
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
