package org.squallnote.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.openqa.selenium.By;
import org.openqa.selenium.OutputType;

/**
 * Takes pictures of the running demo.
 *
 * <p>Arguments: the application's address, the folder for the pictures, and shots as {@code name:path:width:theme:steps}
 * where steps are separated by commas: a CSS selector to click, {@code key=X} to press a key, {@code type=WORDS},
 * {@code wait=TEXT}, {@code file=PATH} to choose a file. Without
 * shots, one of each view.
 */
final class Pictures {

    private static final String[] OF_EACH_VIEW = {
        "take-in:/take-in:1280:light:file=e2e/src/test/resources/harbour-list.csv,wait=Take in",
        "ahead:/ahead:1280:light:",
        "intake:/intake:1280:light:[title^='Tilda Brandt']",
        "intake-follow-up:/intake:1280:light:[title^='Tilda Brandt'],key=f",
        "intake-night-watch:/intake:1280:dark:key=a",
        "intake-narrow:/intake:390:light:",
        "find:/find?q=crane:1280:light:wait=Tilda",
        "person:/people/marisol%40merrowquay.example:1280:light:wait=Perhaps",
        "follow-ups:/follow-ups:1280:light:",
        "follow-up-sheet:/follow-ups:1280:light:[title^='Send Harriet']",
        "threads:/threads:1280:light:[data-test=turn-WITH_OTHERS]",
        "chase-round:/threads?round:1280:light:wait=reminder",
        "thread-sheet:/threads:1280:light:[data-row='6']",
        "capture:/follow-ups:1280:light:key=+,type=call the crane firm about the quote by Friday; 15 min; Crane,wait=15 min",
        "figures:/record/figures:1280:light:wait=You answered",
        "settings-sources:/settings/sources:1280:light:",
        "record:/record:1280:light:key=\uE015",
        "round:/round:1280:light:[data-test=round-begin],wait=step 1 of,[data-test=step-WITH_ME],wait=step 3 of",
        "today:/today:1280:light:key=p,key=i,key=i,key=i,key=i,key=i,key=s,key=i,[data-test=plan-the-day] .btn-quiet",
    };

    private Pictures() {}

    public static void main(String[] args) throws IOException {
        try (Browser browser = new Browser(args[0])) {
            browser.signIn("ines", "merrow-quay-demo");
            endGuide(browser);
            List<String> shots = args.length > 2 ? Arrays.asList(args).subList(2, args.length) : List.of(OF_EACH_VIEW);
            for (String shot : shots) {
                String[] parts = shot.split(":", 5);
                take(browser, Path.of(args[1], parts[0] + ".png"), parts);
            }
        }
    }

    private static void take(Browser browser, Path file, String[] parts) throws IOException {
        int width = Integer.parseInt(parts[2]);
        browser.size(width, width < 500 ? 844 : 800);
        browser.js("localStorage.setItem('squallnote.theme', arguments[0])", parts[3]);
        browser.open(parts[1]);
        browser.find("[data-test=account]");
        settle();
        for (String step : parts.length > 4 && !parts[4].isEmpty() ? parts[4].split(",") : new String[0]) {
            if (step.startsWith("key=")) {
                browser.press(step.substring(4));
            } else if (step.startsWith("type=")) {
                browser.driver()
                        .switchTo()
                        .activeElement()
                        .sendKeys(step.substring(5).replace(';', ','));
            } else if (step.startsWith("wait=")) {
                browser.untilText(step.substring(5));
            } else if (step.startsWith("file=")) {
                browser.driver()
                        .findElement(By.cssSelector("input[type=file]"))
                        .sendKeys(Path.of(step.substring(5)).toAbsolutePath().toString());
            } else {
                browser.click(step);
            }
            settle();
        }
        Files.write(file, browser.driver().getScreenshotAs(OutputType.BYTES));
        System.out.println(file);
    }

    /** Pictures show the views as they are for the rest of the time. */
    private static void endGuide(Browser browser) {
        browser.find("[data-test=account]");
        settle();
        if (!browser.texts("[data-test=guide-end]").isEmpty()) {
            browser.click("[data-test=guide-end]");
        }
    }

    private static void settle() {
        try {
            Thread.sleep(500);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
