package org.squallnote.server;

import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.core.account.Account;
import org.squallnote.server.account.SignedIn;
import org.squallnote.standins.calendar.CalendarServer;

/** An account whose calendar is on a real server, in time that runs. */
@AgainstServers
abstract class CalendarServerTest extends ServerTest {

    @Autowired
    private TestClock clock;

    CalendarServer server;
    String office = "";
    SignedIn me;

    /** Puts more on the server than its one calendar; answers how many there are then. */
    int furnish() {
        return 1;
    }

    @BeforeEach
    void connect() throws Exception {
        clock.run();
        server = CalendarServer.start(0);
        server.shelf().addUser("ines", "secret");
        office = server.shelf().addCalendar("ines", "office", "Office");
        int calendars = furnish();
        UUID id = UUID.randomUUID();
        accounts.insert(new Account(id, "user-" + id, "Ines", "none", "Europe/London", true, MONDAY));
        me = new SignedIn(id, "Ines", "Europe/London", true);
        change(
                me,
                HttpMethod.POST,
                "/api/sources/calendar/" + UUID.randomUUID(),
                "{\"name\":\"Harbour\",\"address\":\"" + server.address()
                        + "\",\"user\":\"ines\",\"password\":\"secret\"}");
        until(me, () -> get(me, "/api/calendars").size() == calendars);
    }

    @AfterEach
    void disconnect() {
        clock.stand();
        disconnectAll(me);
        server.close();
    }

    /** Writes a follow-up of half an hour down. */
    String make(String title, String more) {
        String id = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/follow-ups",
                "{\"followUps\":[{\"id\":\"" + id + "\",\"sentence\":\"\",\"content\":{\"title\":\"" + title
                        + "\",\"firm\":false,\"effortMinutes\":30" + more + "}}]}");
        return id;
    }
}
