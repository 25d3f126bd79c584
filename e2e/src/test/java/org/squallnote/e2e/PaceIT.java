package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.squallnote.standins.scenario.AppSetUp;

/** How quickly Intake is decided with a store as it is after some years; the figures are printed, no time is a test. */
class PaceIT {

    private static final int OLD = Integer.getInteger("squallnote.old", 1_000);

    /** In every third follow-up a date is typed. */
    private static final int TYPED_EVERY = 3;

    private static final String TYPED = "fri";

    /** The day that a digit takes instead. */
    private static final String DIGIT = "2";

    private static final int TO_DECIDE = 100;
    private static final int MOST_MILLISECONDS = 50;

    @TempDir
    static Path data;

    private Browser browser;

    private int left() {
        return Integer.parseInt(browser.textOf("[data-test=progress]").split(" ")[0]);
    }

    private void awaitLeft(int count) {
        browser.until(() -> left() == count ? Boolean.TRUE : null, count + " left");
    }

    /** The figures that Intake is made for; both are printed. */
    @Test
    void aHundredMessagesAreDecidedByKeyboardAlone() throws IOException, InterruptedException {
        try (Office office = Office.open(data, Days.WORKING_DAY, PierMail::fill)) {
            office.application().importFile(PierMail.old(data, OLD), AppSetUp.SIGN_IN);
            browser = office.browser();
            office.signIn();
            decideAHundred();
        }
    }

    private void decideAHundred() {
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
        int dates = 0;
        int followUps = 0;
        for (int i = 0; i < TO_DECIDE; i++) {
            String open = openMessage();
            if (browser.textOf("[data-test=reading]").startsWith("Asks you,")) {
                browser.press("f");
                // Where the thread is followed up already, the same key adds the message to that.
                WebElement form = browser.find("[data-test=sentence], [data-test=add-to] [role=option]");
                boolean dated = "sentence".equals(form.getAttribute("data-test")) && followUps++ % TYPED_EVERY == 0;
                boolean typed = dated && followUps % 2 == 0;
                if (dated && !typed) {
                    browser.press(DIGIT);
                }
                if (typed) {
                    browser.press("r");
                    browser.type("[data-test=typed-day]", TYPED, Keys.ENTER);
                    browser.untilGone("[data-test=typed-day]");
                }
                browser.press(Keys.ENTER);
                keys += 2;
                dates += dated ? 1 : 0;
            } else {
                browser.press("n");
                keys++;
            }
            browser.until(() -> openMessage().equals(open) ? null : Boolean.TRUE, "the next message");
        }
        awaitLeft(start - TO_DECIDE);
        double each = (double) keys / TO_DECIDE;
        double byDigit = each + (double) dates / TO_DECIDE;
        double byWord = each + (double) dates * (2 + TYPED.length()) / TO_DECIDE;
        List<Double> waits = new ArrayList<>();
        ((List<?>) browser.js("return window.waits")).forEach(wait -> waits.add(((Number) wait).doubleValue()));
        Collections.sort(waits);
        System.out.printf(
                "%d messages decided with %.2f keystrokes each (goal: at most 2.2); with another date in every third"
                        + " follow-up %.2f by a digit, %.2f by a word (goal: 2.0); from the key to the next message median %.0f ms, 90th percentile"
                        + " %.0f ms (goal: under %d)%n",
                TO_DECIDE,
                each,
                byDigit,
                byWord,
                waits.get(waits.size() / 2),
                waits.get(waits.size() * 9 / 10),
                MOST_MILLISECONDS);
        assertThat(each).isLessThanOrEqualTo(2.2);
        assertThat(waits).hasSizeGreaterThanOrEqualTo(TO_DECIDE - 1);
        assertThat(browser.textOf("[data-test=progress]")).contains("at this pace", "decided in this sitting");
    }

    private String openMessage() {
        return String.valueOf(browser.find("article").getAttribute("data-message"));
    }
}
