package org.squallnote.standins.scenario;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import org.squallnote.standins.calendar.CalendarServer;
import org.squallnote.standins.chat.Homeserver;
import org.squallnote.standins.mail.MailStandIn;

/** Starts the stand-ins, plays the scenario, and sets up the application that runs at the given address. */
public final class Demo {

    private static final Duration ANSWER_AFTER = Duration.ofSeconds(12);
    private static final Duration NEWS_EVERY = Duration.ofMinutes(3);

    private Demo() {}

    /**
     * Runs until it is ended.
     *
     * @param args the application's address, the IMAP, SMTP, chat and calendar port, and the moment at which it starts if that is not now
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        String app = args[0];
        ZoneId zone = ZoneId.systemDefault();
        Instant start = args.length > 5 ? Instant.parse(args[5]) : Instant.now();
        Clock clock = Clock.offset(Clock.systemUTC(), Duration.between(Instant.now(), start));
        QuayCalendar calendar = new QuayCalendar(start, zone);
        MailStandIn mail = MailStandIn.start(Integer.parseInt(args[1]), Integer.parseInt(args[2]));
        Homeserver chat = Homeserver.start(Integer.parseInt(args[3]), "merrowquay.example", clock);
        CalendarServer calendars = CalendarServer.start(Integer.parseInt(args[4]));
        Diary.write(calendars.shelf(), calendar, zone.getId());
        MerrowQuay quay = new MerrowQuay(mail, chat, start, calendar);
        quay.play();
        quay.invite("Regatta helpers", "bo");
        Life life = new Life(quay, mail, chat, ANSWER_AFTER, clock);
        life.start(Optional.of(NEWS_EVERY));
        AppSetUp setUp = new AppSetUp(app);
        if (!setUp.awaitApplication()) {
            System.err.println("The application did not answer at " + app + ". Its log says why.");
            System.exit(1);
        }
        setUp.makeAccount(zone.getId());
        System.out.println();
        System.out.println("Squallnote is ready:  " + app);
        System.out.println("Sign in as            " + AppSetUp.SIGN_IN);
        System.out.println("Password              " + MerrowQuay.PASSWORD);
        System.out.println();
        setUp.connect(mail.imapPort(), mail.smtpPort(), chat.address());
        setUp.connectCalendars(calendars.address());
        if (!setUp.awaitSources()) {
            System.err.println("The sources were not read in time; Settings › Sources says why.");
        }
        setUp.decideSome(calendar);
        Habits habits = new Habits(setUp);
        habits.make(calendar);
        habits.spend(calendar);
        setUp.addColleague("gus", "Gus Ferrant", zone.getId());
        AppSetUp gus = new AppSetUp(app);
        gus.signIn("gus");
        gus.connectMail("gus@merrowquay.example", "Gus Ferrant", mail.imapPort(), mail.smtpPort());
        gus.connectMail(MerrowQuay.OFFICE, "Merrow Quay office", mail.imapPort(), mail.smtpPort());
        setUp.explain(true);
        setUp.handOverSome(calendar, "Gus Ferrant", "gus@merrowquay.example");
        System.out.println("A colleague signs in as gus, with the same password, in another browser.");
        System.out.println("Mail, chat and some days of work are in. The demo starts afresh each time.");
        System.out.println("People answer after a few seconds. Ctrl-C ends it.");
        new CountDownLatch(1).await();
    }
}
