package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
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
import org.openqa.selenium.interactions.Actions;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.AppSetUp;
import org.squallnote.standins.scenario.MerrowQuay;

/** Intake after two days off: more than a hundred messages, decided in one sitting. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SittingIT {

    private static final int MORE = 100;
    /** The store holds this many more, as after some years. */
    private static final int OLD = 20_000;

    private static final int TO_DECIDE = 100;
    private static final int MOST_MILLISECONDS = 50;

    @TempDir
    static Path data;

    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        office = Office.open(data, SittingIT::fill);
        office.application().importFile(oldMail(), AppSetUp.SIGN_IN);
        browser = office.browser();
        office.signIn();
        browser.open("/intake");
    }

    @AfterAll
    void close() {
        office.close();
    }

    private static void fill(MailStandIn mail) {
        Instant now = Instant.now();
        for (int i = 0; i < MORE; i++) {
            String text = switch (i % 4) {
                case 0 -> "Hello Ines,\r\n\r\ncould you send me the tide sheet for week " + i + "?";
                case 1 -> "Hello Ines,\r\n\r\nthe gangway at slip " + i + " was painted yesterday.";
                case 2 -> "Hello Ines,\r\n\r\nplease tell me by Friday whether slip " + i + " is free.";
                default -> "All berths of pier " + i + " at a glance.";
            };
            String headers = i % 4 == 3 ? "List-Unsubscribe: <https://pier.example/off>\r\n" : "";
            Instant sentAt = now.minusSeconds(3_600L + i * 900L);
            String raw = "Message-ID: <sitting" + i + "@pier.example>\r\nFrom: Pier Office " + i % 12 + " <office"
                    + i % 12
                    + "@pier.example>\r\nTo: <" + MerrowQuay.OWN + ">\r\nSubject: Slip " + i + "\r\n" + headers
                    + "Date: "
                    + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC)) + "\r\n\r\n" + text
                    + "\r\n";
            mail.put(MerrowQuay.OWN, "INBOX", raw.getBytes(StandardCharsets.UTF_8), sentAt);
        }
    }

    /** What has lain in the mailbox for weeks and waits for nobody. */
    private static Path oldMail() throws IOException {
        Path file = data.resolve("old.mbox");
        Instant now = Instant.now();
        try (BufferedWriter out = Files.newBufferedWriter(file)) {
            for (int i = 0; i < OLD; i++) {
                Instant sentAt = now.minus(Duration.ofDays(20)).minusSeconds(i * 200L);
                out.write("From pier@pier.example Mon Mar  2 10:00:00 2026\nMessage-ID: <old" + i
                        + "@pier.example>\nFrom: Pier Office " + i % 40 + " <pier" + i % 40
                        + "@pier.example>\nTo: <" + MerrowQuay.OWN + ">\nSubject: Pier log " + i + "\nDate: "
                        + DateTimeFormatter.RFC_1123_DATE_TIME.format(sentAt.atZone(ZoneOffset.UTC))
                        + "\n\nThe pier was swept on day " + i + " and nothing was found but a glove.\n\n");
            }
        }
        return file;
    }

    private int left() {
        return Integer.parseInt(browser.textOf("[data-test=progress]").split(" ")[0]);
    }

    /** The row of the first message from somebody, in the middle of the list. */
    private WebElement scrolledTo(String from) {
        WebElement row = browser.find("[title^='" + from + "']");
        browser.js("arguments[0].scrollIntoView({block: 'center'})", row);
        return row;
    }

    private void openFirst(String from) {
        WebElement row = scrolledTo(from);
        String id = row.getAttribute("data-message");
        row.click();
        browser.until(() -> openMessage().equals(id) ? Boolean.TRUE : null, "the message from " + from);
    }

    private void awaitLeft(int count) {
        browser.until(() -> left() == count ? Boolean.TRUE : null, count + " left");
    }

    @Test
    @Order(1)
    void severalArePickedDecidedAndTakenBackAsOne() {
        int before = left();
        browser.find("article");
        browser.press("x");
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
    @Order(2)
    void manyOfOneKindAreShownBeforeTheyAreDecided() {
        int before = left();
        openFirst("Pier Office 3");
        browser.press("x");
        browser.press("s");
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
    @Order(3)
    void whatIsPutOffLeavesTheListAndIsFoundAtItsEnd() {
        int before = left();
        openFirst("Pier Office 2");
        browser.press("p");
        browser.find("[data-test=put-off]");
        browser.press("1");
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
    @Order(4)
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
        assertThat(browser.textOf("[data-test=reply-by]")).contains("Sat 6 Mar 2027, 12:00");
        assertThat(browser.textOf("[data-test=day-notice]")).contains("is a day off");
        browser.type("[data-test=sentence] input", Keys.ESCAPE);
        browser.untilGone("[data-test=sentence]");
    }

    @Test
    @Order(5)
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
    @Order(6)
    void aMessageIsAddedToAFollowUpFoundByAFewLetters() {
        int before = left();
        openFirst("Pier Office 8");
        browser.press("g");
        browser.type("[data-test=add-to] input", "office 6");
        browser.until(
                () -> browser.all("[data-test=add-to] [role=option]").size() == 1 ? Boolean.TRUE : null,
                "one follow-up with these letters");
        browser.press(Keys.ENTER);
        browser.untilText("Added to: ");
        awaitLeft(before - 1);
    }

    @Test
    @Order(7)
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

    /** The figures that Intake is made for; both are printed. */
    @Test
    @Order(8)
    void aHundredMessagesAreDecidedByKeyboardAlone() {
        browser.open("/intake");
        browser.find("article");
        browser.js("""
                window.waits = [];
                const shown = () => document.querySelector('article')?.dataset.message;
                let key = 0, before = shown();
                addEventListener('keydown', () => (key = performance.now()), true);
                new MutationObserver(() => {
                  const now = shown();
                  if (now && now !== before) {
                    if (key) window.waits.push(performance.now() - key);
                    before = now;
                  }
                }).observe(document.body, { subtree: true, childList: true, attributes: true });
                """);
        int start = left();
        int keys = 0;
        for (int i = 0; i < TO_DECIDE; i++) {
            String open = openMessage();
            if (browser.textOf("[data-test=reading]").startsWith("Asks you,")) {
                browser.press("f");
                // Where the thread is followed up already, the same key adds the message to that.
                browser.find("[data-test=sentence], [data-test=add-to] [role=option]");
                browser.press(Keys.ENTER);
                keys += 2;
            } else {
                browser.press("n");
                keys++;
            }
            browser.until(() -> openMessage().equals(open) ? null : Boolean.TRUE, "the next message");
        }
        awaitLeft(start - TO_DECIDE);
        double each = (double) keys / TO_DECIDE;
        List<Double> waits = new ArrayList<>();
        ((List<?>) browser.js("return window.waits")).forEach(wait -> waits.add(((Number) wait).doubleValue()));
        Collections.sort(waits);
        System.out.printf(
                "%d messages decided with %.2f keystrokes each (goal: at most 2.2); from the key to the next message"
                        + " median %.0f ms, 90th percentile %.0f ms (goal: under %d)%n",
                TO_DECIDE, each, waits.get(waits.size() / 2), waits.get(waits.size() * 9 / 10), MOST_MILLISECONDS);
        assertThat(each).isLessThanOrEqualTo(2.2);
        assertThat(waits).hasSizeGreaterThanOrEqualTo(TO_DECIDE - 1);
        assertThat(browser.textOf("[data-test=progress]")).contains("at this pace", "decided in this sitting");
    }

    private String openMessage() {
        return String.valueOf(browser.find("article").getAttribute("data-message"));
    }
}
