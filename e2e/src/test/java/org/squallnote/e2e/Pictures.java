package org.squallnote.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.openqa.selenium.OutputType;

/**
 * Takes pictures of the running demo.
 *
 * <p>Arguments: the application's address, the folder for the pictures, and shots as {@code name:path:width:theme:steps}
 * where steps are separated by commas: a CSS selector to click, {@code key=X} to press a key, {@code wait=TEXT}.
 */
final class Pictures {

    private Pictures() {}

    public static void main(String[] args) throws IOException {
        try (Browser browser = new Browser(args[0])) {
            browser.signIn("ines", "merrow-quay-demo");
            for (String shot : Arrays.asList(args).subList(2, args.length)) {
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
            } else if (step.startsWith("wait=")) {
                browser.untilText(step.substring(5));
            } else {
                browser.find(step).click();
            }
            settle();
        }
        Files.write(file, browser.driver().getScreenshotAs(OutputType.BYTES));
        System.out.println(file);
    }

    private static void settle() {
        try {
            Thread.sleep(500);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
