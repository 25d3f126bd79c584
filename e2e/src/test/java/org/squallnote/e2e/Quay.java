package org.squallnote.e2e;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import org.squallnote.standins.chat.Homeserver;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.Life;
import org.squallnote.standins.scenario.MerrowQuay;

/** Both stand-ins with the scenario played into them. */
record Quay(MailStandIn mail, Homeserver chat, Life life) implements AutoCloseable {

    /** How long invented people take to answer. */
    private static final Duration ANSWER_AFTER = Duration.ofSeconds(2);

    static Quay open() throws IOException {
        MailStandIn mail = MailStandIn.start(0, 0);
        Homeserver chat = Homeserver.start(0, "merrowquay.example");
        MerrowQuay scenario = new MerrowQuay(mail, chat, Instant.now(), ZoneId.systemDefault());
        scenario.play();
        Life life = new Life(scenario, mail, chat, ANSWER_AFTER);
        life.start(Optional.empty());
        return new Quay(mail, chat, life);
    }

    @Override
    public void close() {
        life.close();
        chat.close();
        mail.close();
    }
}
