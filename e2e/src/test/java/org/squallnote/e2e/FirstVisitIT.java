package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.squallnote.standins.scenario.MerrowQuay;

/** The way from the first visit to messages on the screen, by hand. */
class FirstVisitIT {

    private static final String PASSWORD = "a good long password";

    @TempDir
    static Path data;

    @Test
    void aNewcomerMakesAnAccountAndConnectsMailAndChat() throws IOException {
        Clock clock = Days.clockFrom(Days.WORKING_DAY);
        try (Quay quay = Quay.open(clock);
                Application application = new Application(data, clock).start();
                Browser browser = new Browser(application.address())) {
            browser.firstVisit("Ines Calloway", "ines", PASSWORD);
            connectsMail(browser, quay);
            connectsChat(browser, quay);
            browser.open("/settings/categories");
            browser.type("[data-test=add-category] input[name=name]", "Crane", Keys.ENTER);
            browser.untilText("Added category Crane");
            browser.open("/intake");
            browser.find("[title^='Tilda Brandt']");
        }
    }

    private static void connectsMail(Browser browser, Quay quay) {
        browser.open("/settings/sources");
        browser.click("[data-test=add-mail]");
        browser.type("input[name=address]", MerrowQuay.OWN);
        browser.type("input[name=fromName]", "Ines Calloway");
        browser.type("input[name=password]", "wrong");
        server(browser, "imap", quay.mail().imapPort());
        server(browser, "smtp", quay.mail().smtpPort());
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

    private static void server(Browser browser, String kind, int port) {
        browser.find("input[name=" + kind + "-host]").clear();
        browser.type("input[name=" + kind + "-host]", "127.0.0.1");
        new Select(browser.find("select[name=" + kind + "-encryption]")).selectByValue("NONE");
        browser.js(
                "const f = document.querySelector(arguments[0]); f.value = arguments[1]; f.dispatchEvent(new Event('input'))",
                "input[name=" + kind + "-port]",
                String.valueOf(port));
    }

    private static void connectsChat(Browser browser, Quay quay) {
        browser.click("[data-test=add-chat]");
        browser.type("input[name=name]", "Harbour chat");
        browser.find("input[name=homeserver]").clear();
        browser.type("input[name=homeserver]", quay.chat().address());
        browser.type("input[name=user]", "ines");
        browser.type("input[name=password]", MerrowQuay.PASSWORD);
        browser.click("[data-test=save]");
        browser.until(() -> browser.all("[data-status=LIVE]").size() == 2 ? true : null, "two live sources");
    }
}
