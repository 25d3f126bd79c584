package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.AppSetUp;
import org.squallnote.standins.scenario.MerrowQuay;
import tools.jackson.databind.JsonNode;

/** A chase round of ten by keyboard; the application is killed while its letters wait to go out. */
class ChaseRoundIT {

    private static final int PEOPLE = 10;

    /** This one answers while the application is dead. */
    private static final int ANSWERS = 3;

    @TempDir
    static Path data;

    private static String address(int i) {
        return "surveyor" + i + "@surveys.example";
    }

    private static void put(MailStandIn mail, String folder, String head, String text, Instant at) {
        String raw = head + "Date: " + DateTimeFormatter.RFC_1123_DATE_TIME.format(at.atZone(ZoneOffset.UTC))
                + "\r\n\r\n" + text + "\r\n";
        mail.put(MerrowQuay.OWN, folder, raw.getBytes(StandardCharsets.UTF_8), at);
    }

    private static void askTen(MailStandIn mail, Instant now) {
        mail.addMailbox(MerrowQuay.OWN, MerrowQuay.PASSWORD);
        mail.addFolder(MerrowQuay.OWN, "Sent");
        for (int i = 0; i < PEOPLE; i++) {
            mail.addMailbox(address(i), "invented");
            put(
                    mail,
                    "Sent",
                    "Message-ID: <survey-" + i + "@merrowquay.example>\r\nFrom: Ines Calloway <" + MerrowQuay.OWN
                            + ">\r\nTo: Surveyor" + i + " Marsh <" + address(i) + ">\r\nSubject: Hull " + i + "\r\n",
                    "Could you send me the survey of hull " + i + "?",
                    now.minus(Duration.ofDays(8)));
        }
    }

    private static int received(MailStandIn mail, int person) {
        return mail.messages(address(person), "INBOX").size();
    }

    @Test
    void tenLettersByKeyboardEachOnceAndNoneToWhomHasAnswered() throws Exception {
        Clock clock = Days.clockFrom(Days.WORKING_DAY);
        try (MailStandIn mail = MailStandIn.start(0, 0)) {
            askTen(mail, clock.instant());
            Application application = new Application(data, clock, "--squallnote.outbox.hold=60s").start();
            // By then the letters could have gone out long ago: only that the answer is read first holds one back.
            Application later = new Application(data, Clock.offset(clock, Duration.ofMinutes(2)));
            try {
                AppSetUp setUp = new AppSetUp(application.address());
                assertThat(setUp.awaitApplication()).isTrue();
                setUp.makeAccount(Days.ZONE.getId());
                setUp.connectMail(mail.imapPort(), mail.smtpPort());
                AppSetUp first = setUp;
                until(() -> due(first) == PEOPLE, "ten people to be due");
                byKeyboard(application, setUp);
                assertThat(due(setUp)).isZero();
                application.kill();
                int sent = 0;
                for (int i = 0; i < PEOPLE; i++) {
                    sent += received(mail, i);
                }
                System.out.println("Killed with " + sent + " of " + PEOPLE + " reminders sent");
                put(
                        mail,
                        "INBOX",
                        "Message-ID: <answer@surveys.example>\r\nFrom: Surveyor" + ANSWERS + " Marsh <"
                                + address(ANSWERS) + ">\r\nTo: <" + MerrowQuay.OWN + ">\r\nIn-Reply-To: <survey-"
                                + ANSWERS + "@merrowquay.example>\r\nReferences: <survey-" + ANSWERS
                                + "@merrowquay.example>\r\nSubject: Re: Hull " + ANSWERS + "\r\n",
                        "The survey is attached.",
                        clock.instant());
                later.start();
                setUp = new AppSetUp(later.address());
                setUp.signIn();
                AppSetUp last = setUp;
                until(() -> last.call("GET", "/api/outbox", null).isEmpty(), "everything to be sent");
                for (int i = 0; i < PEOPLE; i++) {
                    assertThat(received(mail, i))
                            .as("reminders to %s", address(i))
                            .isEqualTo(i == ANSWERS ? 0 : 1);
                }
                assertThat(due(setUp)).isZero();
            } finally {
                application.kill();
                later.kill();
            }
        }
    }

    private static void byKeyboard(Application application, AppSetUp setUp) {
        try (Browser browser = new Browser(application.address())) {
            browser.signIn(AppSetUp.SIGN_IN, MerrowQuay.PASSWORD);
            int keys = 0;
            browser.press("4");
            keys++;
            browser.find("[data-test=to-round]");
            browser.press("r");
            keys++;
            String before = "";
            for (int i = 0; i < PEOPLE; i++) {
                String last = before;
                before = browser.until(
                        () -> {
                            String whom = browser.textOf("[data-test=whom]");
                            return whom.equals(last) ? null : whom;
                        },
                        "the next letter");
                if (i == 0) {
                    browser.press("e");
                    browser.type("[data-test=letter-text]", Keys.chord(Keys.CONTROL, Keys.END), " PS: by Friday?");
                    browser.type("[data-test=letter-text]", Keys.ESCAPE);
                    keys += 2;
                }
                browser.press(Keys.ENTER);
                keys++;
            }
            browser.untilText("Everybody who is due was looked at.");
            System.out.printf("Chase round: %.2f keys a letter%n", (double) keys / PEOPLE);
            // The page goes on before the last letter is answered: whoever closes it at once would lose that one.
            browser.until(() -> due(setUp) == 0 ? Boolean.TRUE : null, "the last letter to be kept");
            assertThat((double) keys / PEOPLE).isLessThanOrEqualTo(2.2);
        }
    }

    private static int due(AppSetUp setUp) {
        JsonNode due = setUp.call("GET", "/api/chases/due", null).path("due");
        return due.size();
    }

    private static void until(BooleanSupplier condition, String what) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(120).toNanos();
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited for %s", what).isLessThan(end);
            Thread.sleep(20);
        }
    }
}
