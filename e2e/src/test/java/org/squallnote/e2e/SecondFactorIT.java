package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.io.IOException;
import java.nio.file.Path;
import java.security.InvalidKeyException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** A code beside the password, from setting it up to signing in with it, and without the device. */
class SecondFactorIT {

    private static final String PASSWORD = "a good long password";
    private static final String PROOF = "[data-test=second-factor] input[name=proof]";
    private static final String CODE = "input[name=code]";
    private static final int STEP_SECONDS = 30;

    @TempDir
    static Path data;

    @Test
    void signingInAsksForTheCodeAndTakesARecoveryCodeOnce() throws IOException, InvalidKeyException {
        Clock clock = Days.clockFrom(Days.WORKING_DAY);
        try (Application application = new Application(data, clock).start();
                Browser browser = new Browser(application.address())) {
            browser.firstVisit("Ines Calloway", "ines", PASSWORD);

            browser.open("/settings/account");
            browser.type(PROOF, PASSWORD, Keys.ENTER);
            String secret = browser.textOf("[data-test=secret]");
            // A code is taken in its own half minute and in those beside it: however slow this is, neither is too old.
            browser.type(CODE, code(secret, clock.instant()), Keys.ENTER);
            List<String> recovery =
                    List.of(browser.textOf("[data-test=recovery-codes] ul").split("\\s+"));
            assertThat(recovery).hasSize(10);

            signInAgain(browser);
            browser.type(CODE, "000000", Keys.ENTER);
            browser.find("[role=alert]");
            browser.find(CODE).clear();
            browser.type(CODE, code(secret, clock.instant().plusSeconds(STEP_SECONDS)), Keys.ENTER);
            browser.untilText("Nothing is open");

            signInAgain(browser);
            browser.type(CODE, recovery.get(3), Keys.ENTER);
            browser.untilText("Nothing is open");
            browser.open("/settings/account");
            browser.untilText("9 recovery codes are left");

            signInAgain(browser);
            browser.type(CODE, recovery.get(3), Keys.ENTER);
            browser.find("[role=alert]");
        }
    }

    /** As in a browser that has never been here. */
    private static void signInAgain(Browser browser) {
        browser.driver().manage().deleteAllCookies();
        browser.open("/");
        browser.type("input[name=username]", "ines");
        browser.type("input[name=password]", PASSWORD, Keys.ENTER);
        browser.find(CODE);
    }

    private static String code(String spelled, Instant at) throws InvalidKeyException {
        TimeBasedOneTimePasswordGenerator device = new TimeBasedOneTimePasswordGenerator();
        return device.generateOneTimePasswordString(
                new SecretKeySpec(new Base32().decode(spelled.replaceAll("\\s", "")), device.getAlgorithm()), at);
    }
}
