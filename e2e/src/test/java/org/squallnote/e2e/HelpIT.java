package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.squallnote.standins.scenario.MerrowQuay;

/** The first sitting, how-tos, and the page for scripts. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.Random.class)
class HelpIT {

    @TempDir
    static Path data;

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
        assertThat(browser.js("return location.pathname")).isEqualTo("/follow-ups");
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
