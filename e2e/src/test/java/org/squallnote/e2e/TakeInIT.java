package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** What other programs have kept comes in: a table with errors in it, tasks, a folder of mail. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class TakeInIT {

    @TempDir
    static Path data;

    @TempDir
    static Path files;

    private Office office;
    private Browser browser;

    @BeforeAll
    void open() throws IOException, InterruptedException {
        office = Office.open(data, Days.WORKING_DAY, mail -> {});
        browser = office.browser();
        office.signIn();
    }

    @AfterAll
    void close() {
        office.close();
    }

    private void choose(String input, Path file) {
        browser.find("label:has([data-test=" + input + "])");
        browser.driver()
                .findElement(By.cssSelector("[data-test=" + input + "]"))
                .sendKeys(file.toAbsolutePath().toString());
    }

    private int open(String title) {
        int count = 0;
        for (var line : office.setUp().call("GET", "/api/follow-ups", null).path("open")) {
            count += line.path("title").asString("").equals(title) ? 1 : 0;
        }
        return count;
    }

    @Test
    void aTableWithErrorsIsPutRightOnTheScreenAndComesInByKeyboard() {
        browser.open("/take-in");
        choose("choose-file", Path.of("src/test/resources/harbour-list.csv"));
        browser.untilText("“31/2/2026” is no date that can be read");
        browser.untilText("“long” is no effort");
        browser.untilText("Says the same as 3.");
        browser.untilText("3 lines stay out");
        assertThat(browser.textOf("[data-test=take-in]")).contains("Take in 6 follow-ups");
        // The column that makes a line unreadable is left out, and that line can be taken.
        browser.click("[data-test=columns] [aria-label='Effort (min) says'] option[value=NOTHING]");
        browser.untilText("2 lines stay out");
        // From the choice of a column to the list.
        browser.press(Keys.ESCAPE);
        browser.js("document.activeElement.blur()");
        browser.press(Keys.ARROW_DOWN);
        browser.press(" ");
        browser.until(
                () -> browser.textOf("[data-test=take-in]").contains("Take in 6 ") ? Boolean.TRUE : null,
                "the first line left out");
        browser.press(Keys.ENTER);
        browser.untilText("6 follow-ups were taken in");
        assertThat(open("Send Bo the winch drawings")).isZero();
        assertThat(open("Polish the bell")).isEqualTo(1);
        browser.press("u");
        browser.until(() -> open("Polish the bell") == 0 ? Boolean.TRUE : null, "nothing of it");
    }

    @Test
    void whatIsNoFileOfFollowUpsSaysWhatToDo() throws IOException {
        Path packed = Files.write(files.resolve("list.xlsx"), new byte[] {'P', 'K', 3, 4, 0, 0});
        browser.open("/take-in");
        choose("choose-file", packed);
        browser.untilText("Save it as CSV");
        browser.click("[role=alert] .btn");
        browser.untilText("Choose files");
    }

    @Test
    void aFolderOfMailComesInAndIsKnownTheSecondTime() throws IOException {
        Path folder = Files.createDirectories(files.resolve("mail/cur"));
        for (int i = 1; i <= 30; i++) {
            Files.writeString(
                    folder.resolve(i + ".quay:2,S"),
                    "From: Mara Finch <mara@finch.example>\nTo: ines@merrowquay.example\n"
                            + "Date: Tue, 10 Feb 2026 09:00:00 +0000\nSubject: Slipway log " + i
                            + "\nMessage-ID: <log-" + i + "@finch.example>\n\nFrom here on the log of week " + i
                            + ".\n");
        }
        browser.open("/take-in");
        choose("choose-folder", files.resolve("mail"));
        browser.untilText("30 of 30 messages looked at: 30 new");
        choose("choose-folder", files.resolve("mail"));
        browser.untilText("0 new, 30 known before");
    }
}
