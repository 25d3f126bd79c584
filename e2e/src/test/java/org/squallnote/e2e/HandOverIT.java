package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.AppSetUp;
import org.squallnote.standins.scenario.MerrowQuay;

/** Two colleagues, each in a browser: what one does of a hand-over is seen by the other. */
class HandOverIT {

    private static final String GUS = "gus@merrowquay.example";

    @TempDir
    static Path data;

    private static void put(MailStandIn mail, String id, String subject, String text, Instant at) {
        String raw = "Message-ID: <" + id
                + "@brandt-cranes.example>\r\nFrom: Tilda Brandt <tilda@brandt-cranes.example>\r\n"
                + "To: Ines Calloway <" + MerrowQuay.OWN + ">\r\nSubject: " + subject + "\r\nDate: "
                + DateTimeFormatter.RFC_1123_DATE_TIME.format(at.atZone(ZoneOffset.UTC)) + "\r\n\r\n" + text + "\r\n";
        mail.put(MerrowQuay.OWN, "INBOX", raw.getBytes(StandardCharsets.UTF_8), at);
    }

    @Test
    void eachStepIsSeenByTheOtherSide() throws Exception {
        Clock clock = Days.clockFrom(Days.WORKING_DAY);
        try (MailStandIn mail = MailStandIn.start(0, 0)) {
            for (String address : new String[] {MerrowQuay.OWN, GUS}) {
                mail.addMailbox(address, MerrowQuay.PASSWORD);
                mail.addFolder(address, "Sent");
                mail.addFolder(address, "Archive");
            }
            mail.addMailbox("tilda@brandt-cranes.example", "invented");
            put(
                    mail,
                    "q1",
                    "Crane on Friday",
                    "Could you send me the load chart?",
                    clock.instant().minus(Duration.ofHours(2)));
            Application application = new Application(data, clock, "--squallnote.outbox.hold=1s").start();
            try {
                AppSetUp ines = new AppSetUp(application.address());
                assertThat(ines.awaitApplication()).isTrue();
                ines.makeAccount(Days.ZONE.getId());
                ines.connectMail(mail.imapPort(), mail.smtpPort());
                ines.addColleague("gus", "Gus Ferrant", Days.ZONE.getId());
                AppSetUp gus = new AppSetUp(application.address());
                gus.signIn("gus");
                gus.connectMail(GUS, "Gus Ferrant", mail.imapPort(), mail.smtpPort());
                try (Browser hers = new Browser(application.address());
                        Browser his = new Browser(application.address())) {
                    hers.signIn(AppSetUp.SIGN_IN, MerrowQuay.PASSWORD);
                    his.signIn("gus", MerrowQuay.PASSWORD);
                    toAndFro(hers, his);
                }
            } finally {
                application.close();
            }
        }
    }

    private static void toAndFro(Browser hers, Browser his) {
        hers.open("/intake");
        hers.untilText("Crane on Friday");
        hers.click("[data-test=decide-hand-over]");
        hers.type("[data-test=hand-over-to]", "Gus");
        hers.type("[data-test=hand-over-to]", Keys.ENTER);
        hers.click("[data-test=hand-over-give]");
        hers.open("/threads?handed");
        hers.untilText("Crane on Friday");

        his.open("/intake");
        his.untilText("Fwd: Crane on Friday");
        his.click("[data-test=accept-hand-over]");
        seen(hers, "accepted");
        his.open("/threads?handed");
        his.click("[data-test=working]");
        seen(hers, "being worked on");
        his.click("[data-test=hand-over-done]");
        his.type("[data-test=taker-word]", "It hangs in the shed.");
        his.click("[data-test=taker-say]");
        seen(hers, "It hangs in the shed.");
        hers.click("[data-test=turn-WITH_OTHERS]");
        hers.untilText("You wait for nobody.");
    }

    /** Within two seconds, as somebody looks at it. */
    private static void seen(Browser browser, String what) {
        long since = System.nanoTime();
        browser.until(
                () -> browser.textOf("[data-test=board]").contains(what) ? Boolean.TRUE : null,
                "“" + what + "” on the other side");
        System.out.println("“" + what + "” was seen after "
                + Duration.ofNanos(System.nanoTime() - since).toMillis() + " ms");
    }
}
