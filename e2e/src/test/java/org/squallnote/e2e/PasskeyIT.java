package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticator;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticatorOptions;

/** A passkey, from adding it to signing in with it, without it, and removing it. */
class PasskeyIT {

    private static final String PASSWORD = "a good long password";
    private static final String CODE = "input[name=code]";
    private static final String USE = "[data-test=passkey]";

    @TempDir
    static Path data;

    @Test
    void aPasskeySignsInAndThePasswordNeedsARecoveryCodeThen() {
        try (Application application = new Application(data, Days.clockFrom(Days.WORKING_DAY)).start();
                Browser browser = new Browser(application.address().replace("127.0.0.1", "localhost"))) {
            browser.firstVisit("Ines Calloway", "ines", PASSWORD);
            VirtualAuthenticator device = browser.driver()
                    .addVirtualAuthenticator(new VirtualAuthenticatorOptions()
                            .setProtocol(VirtualAuthenticatorOptions.Protocol.CTAP2)
                            .setTransport(VirtualAuthenticatorOptions.Transport.INTERNAL)
                            .setHasResidentKey(true)
                            .setHasUserVerification(true)
                            .setIsUserVerified(true));
            browser.open("/settings/account");
            browser.type("input[name=passkey-label]", "My laptop");
            browser.type("input[name=passkey-proof]", PASSWORD, Keys.ENTER);
            List<String> recovery =
                    List.of(browser.textOf("[data-test=recovery-codes] ul").split("\\s+"));
            assertThat(recovery).hasSize(10);
            assertThat(browser.textOf("[data-test=passkeys]")).contains("My laptop", "at localhost");

            leave(browser);
            browser.click(USE);
            browser.untilText("Nothing is open");

            leave(browser);
            device.setUserVerified(false);
            browser.click(USE);
            browser.find("[role=alert]");
            device.setUserVerified(true);
            byPassword(browser);
            browser.type(CODE, recovery.get(0), Keys.ENTER);
            browser.untilText("Nothing is open");

            browser.open("/settings/account");
            browser.click("[data-test=passkey] button");
            browser.type("[data-test=passkeys] input[type=password]", PASSWORD, Keys.ENTER);
            browser.untilText("The passkey is removed");
            leave(browser);
            browser.click(USE);
            browser.find("[role=alert]");
            byPassword(browser);
            browser.untilText("Nothing is open");
        }
    }

    /** As in a browser that has never been here. */
    private static void leave(Browser browser) {
        browser.driver().manage().deleteAllCookies();
        browser.open("/");
        browser.find("input[name=username]");
    }

    private static void byPassword(Browser browser) {
        browser.type("input[name=username]", "ines");
        browser.type("input[name=password]", PASSWORD, Keys.ENTER);
    }
}
