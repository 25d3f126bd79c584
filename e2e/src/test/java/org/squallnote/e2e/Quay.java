package org.squallnote.e2e;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.squallnote.standins.chat.Homeserver;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.Life;
import org.squallnote.standins.scenario.MerrowQuay;
import org.squallnote.standins.scenario.QuayCalendar;

/** Both stand-ins with the scenario played into them, at a moment. */
record Quay(MailStandIn mail, Homeserver chat, Life life, QuayCalendar calendar) implements AutoCloseable {

    /** How long invented people take to answer. */
    private static final Duration ANSWER_AFTER = Duration.ofSeconds(2);

    static Quay open(Clock clock) throws IOException {
        Instant start = clock.instant();
        QuayCalendar calendar = new QuayCalendar(start, Days.ZONE);
        MailStandIn mail = MailStandIn.start(0, 0);
        Homeserver chat = Homeserver.start(0, "merrowquay.example", clock);
        MerrowQuay scenario = new MerrowQuay(mail, chat, start, calendar);
        scenario.play();
        Life life = new Life(scenario, mail, chat, ANSWER_AFTER, clock);
        life.start(Optional.empty());
        return new Quay(mail, chat, life, calendar);
    }

    @Override
    public void close() {
        life.close();
        chat.close();
        mail.close();
    }
}
