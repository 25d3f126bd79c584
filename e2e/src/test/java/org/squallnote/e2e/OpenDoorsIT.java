package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
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
import org.squallnote.standins.scenario.MerrowQuay;

/** What comes in from other programs, what lets scripts in, and what helps whoever is new. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class OpenDoorsIT {

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
        browser.click("[data-test=category] option[value=new]");
        // The column that makes a line unreadable is left out, and that line can be taken.
        browser.click("[data-test=columns] [aria-label='Effort (min) says'] option[value=NOTHING]");
        browser.untilText("2 lines stay out");
        // From the choice of a column to the list.
        browser.press(Keys.ESCAPE);
        browser.js("document.activeElement.blur()");
        browser.press(Keys.ARROW_DOWN);
        browser.press(" ");
        browser.until(
                () -> browser.textOf("[data-test=take-in]:enabled").contains("Take in 6 ") ? Boolean.TRUE : null,
                "the first line left out");
        browser.press(Keys.ENTER);
        browser.untilText("6 follow-ups were taken in");
        assertThat(office.setUp().call("GET", "/api/categories", null).toString())
                .contains("\"Moorings\"");
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
        browser.untilText("as CSV there");
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

    @Test
    void theViewsExplainThemselvesUntilTheyAreSentAwayForGood() {
        office.setUp().explain(true);
        browser.open("/intake");
        browser.untilText("New here?");
        browser.click("[data-test=guide-next]");
        browser.untilText("It begins with your messages.");
        browser.untilText("1 of 8");
        browser.click("[data-test=guide-next]");
        browser.untilText("What came in stands here.");
        browser.find(".guide-ring");
        // It covers nothing: a message is chosen meanwhile.
        browser.click("[data-test=intake-list] [role=option]");
        browser.click("[data-test=guide-next]");
        browser.untilText("Each message is decided once.");
        browser.find(".guide-ring");
        browser.click("[data-test=guide-next]");
        browser.untilText("What you have taken on stands here.");
        browser.until(
                () -> "/follow-ups".equals(browser.js("return location.pathname")) ? Boolean.TRUE : null,
                "the view it speaks of");
        browser.click("[data-test=guide-end]");
        browser.untilGone("[data-test=guide]");
        browser.open("/intake");
        browser.find("[data-test=intake-list]");
        assertThat(office.setUp().call("GET", "/api/guide", null).path("over").asBoolean(false))
                .isTrue();
        assertThat(browser.texts("[data-test=guide]")).isEmpty();
    }

    @Test
    void aHowToIsFoundByAWordAndLeadsThere() {
        browser.open("/help");
        browser.untilText("The first quarter of an hour");
        browser.press("l");
        browser.type("[data-test=help-words]", "prove");
        browser.untilText("Prove that you answered");
        browser.click("[data-test=how-to] .btn");
        browser.until(
                () -> "/record".equals(browser.js("return location.pathname")) ? Boolean.TRUE : null, "the record");
    }

    @Test
    void aTokenIsShownOnceAndActsForItsUser() throws IOException, InterruptedException {
        browser.open("/settings/scripts");
        browser.type("input[name=token-name]", "Backup at night");
        browser.type("input[name=token-proof]", "wrong");
        browser.click("[data-test=tokens] form button[type=submit]");
        browser.untilText("The current password is not right");
        browser.type("input[name=token-proof]", Keys.chord(Keys.CONTROL, "a"));
        browser.type("input[name=token-proof]", MerrowQuay.PASSWORD);
        browser.click("[data-test=tokens] form button[type=submit]");
        String token = browser.find("[data-test=secret]").getAttribute("value");
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(office.application().address() + "/api/record"))
                                .header("Authorization", "Bearer " + token)
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(200);
        browser.open("/settings/scripts");
        browser.untilText("Backup at night");
        assertThat(browser.texts("[data-test=shown-once]")).isEmpty();
        browser.click("[data-test=token] .btn");
        browser.untilGone("[data-test=token]");
    }
}
