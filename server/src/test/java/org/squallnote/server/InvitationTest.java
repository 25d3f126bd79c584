package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.core.account.Account;
import org.squallnote.server.account.SignedIn;
import org.squallnote.standins.calendar.CalendarServer;
import org.squallnote.standins.mail.MailStandIn;
import tools.jackson.databind.JsonNode;

/** Invitations with real engines against a mail server and a calendar server. It is Wednesday 4 March 2026. */
@AgainstServers
class InvitationTest extends ServerTest {

    private static final String ME = "ines.own@merrowquay.example";
    private static final String TILDA = "tilda@brandt-cranes.example";

    @Autowired
    private TestClock clock;

    private MailStandIn mail;
    private CalendarServer calendars;
    private String office = "";
    private SignedIn me;

    @BeforeEach
    void connect() throws Exception {
        clock.run();
        mail = MailStandIn.start(0, 0);
        mail.addMailbox(ME, "secret");
        mail.addMailbox(TILDA, "secret");
        mail.addFolder(ME, "Sent");
        calendars = CalendarServer.start(0);
        calendars.shelf().addUser("ines", "secret");
        office = calendars.shelf().addCalendar("ines", "office", "Office");
        calendars
                .shelf()
                .put(
                        office,
                        "surveyor.ics",
                        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:surveyor\r\nSUMMARY:Surveyor\r\n"
                                + "DTSTART:20260306T110000Z\r\nDTEND:20260306T120000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
        UUID id = UUID.randomUUID();
        accounts.insert(new Account(id, "user-" + id, "Ines", "none", "Europe/London", true, MONDAY));
        me = new SignedIn(id, "Ines", "Europe/London", true);
        change(me, HttpMethod.POST, "/api/sources/mail/" + UUID.randomUUID(), """
                {"name":"Ines","address":"%s","fromName":"Ines Calloway","user":"%s","password":"secret","inbox":"INBOX","sent":"Sent",
                 "archive":"","drafts":"","daysBack":90,"archiveRule":"NEVER",
                 "imap":{"host":"127.0.0.1","port":%d,"encryption":"NONE"},"smtp":{"host":"127.0.0.1","port":%d,"encryption":"NONE"}}""".formatted(
                        ME, ME, mail.imapPort(), mail.smtpPort()));
        change(
                me,
                HttpMethod.POST,
                "/api/sources/calendar/" + UUID.randomUUID(),
                "{\"name\":\"Harbour\",\"address\":\"" + calendars.address()
                        + "\",\"user\":\"ines\",\"password\":\"secret\"}");
        until(me, () -> get(me, "/api/calendars").size() == 1);
    }

    @AfterEach
    void disconnect() {
        clock.stand();
        disconnectAll(me);
        mail.close();
        calendars.close();
    }

    /** A scheduling mail of Tilda's; answers its message here once it has arrived. */
    private String says(String id, String method, int sequence, String hour) throws InterruptedException {
        return says(id, method, sequence, hour, "X-YARD:1");
    }

    private String says(String id, String method, int sequence, String hour, String more) throws InterruptedException {
        String calendar = String.join(
                "\r\n",
                "BEGIN:VCALENDAR",
                "VERSION:2.0",
                "METHOD:" + method,
                "BEGIN:VEVENT",
                "UID:crane@brandt-cranes.example",
                "SEQUENCE:" + sequence,
                "DTSTAMP:20260303T08000" + sequence + "Z",
                "DTSTART:20260306T" + hour + "3000Z",
                "DURATION:PT1H",
                "SUMMARY:Crane inspection",
                "LOCATION:Slipway",
                more,
                "ORGANIZER;CN=Tilda Brandt:mailto:" + TILDA,
                "ATTENDEE;PARTSTAT=NEEDS-ACTION;RSVP=TRUE:mailto:" + ME,
                "ATTENDEE;CN=Bo:mailto:bo@yard.example",
                "END:VEVENT",
                "END:VCALENDAR");
        mail.put(
                ME,
                "INBOX",
                String.join(
                                "\r\n",
                                "Message-ID: <" + id + ">",
                                "From: Tilda Brandt <" + TILDA + ">",
                                "To: <" + ME + ">",
                                "Subject: Crane inspection",
                                "MIME-Version: 1.0",
                                "Content-Type: text/calendar; method=" + method + "; charset=UTF-8",
                                "",
                                calendar,
                                "")
                        .getBytes(StandardCharsets.UTF_8),
                MONDAY);
        until(
                me,
                () -> !jdbc.queryForList(
                                "select id from message where owner = ? and message_id = ?", me.accountId(), id)
                        .isEmpty());
        return messageId(me, id);
    }

    private JsonNode invitation(String message) {
        return get(me, "/api/messages/" + message + "/invitation");
    }

    private String answer(String message, String participation) {
        String calendar = get(me, "/api/calendars").path(0).path("id").asString("");
        return change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/invitation/answer",
                "{\"participation\":\"" + participation + "\",\"note\":\"See you there\",\"calendarId\":\"" + calendar
                        + "\"}");
    }

    private String event() {
        return calendars.shelf().names(office).stream()
                .filter(name -> !name.equals("surveyor.ics"))
                .map(name -> calendars.shelf().body(office, name).orElse(""))
                .findFirst()
                .orElse("");
    }

    private String reply(int place) throws Exception {
        until(me, () -> mail.messages(TILDA, "INBOX").size() > place);
        MimeMessage sent = mail.messages(TILDA, "INBOX").get(place);
        MimeMultipart parts = (MimeMultipart) sent.getContent();
        assertThat(parts.getContentType()).contains("alternative");
        assertThat(parts.getBodyPart(1).getContentType())
                .contains("text/calendar")
                .containsAnyOf("REPLY", "COUNTER");
        return new String(parts.getBodyPart(1).getInputStream().readAllBytes(), StandardCharsets.UTF_8)
                .replace("\r\n ", "");
    }

    @Test
    void itIsShownWithTheDayAroundItAndAnsweredByMailAndInTheCalendar() throws Exception {
        String message = says("invite@x.example", "REQUEST", 0, "11");
        until(me, () -> invitation(message).path("around").path("meetings").size() == 1);
        JsonNode shown = invitation(message);
        assertThat(shown.path("around").path("collides").path(0).asString("")).isEqualTo("Surveyor");
        assertThat(shown.path("around").path("takesMinutes").asInt()).isEqualTo(30);
        assertThat(shown.path("from").asString("")).isEqualTo("11:30:00");
        assertThat(shown.path("canAnswer").asBoolean()).isTrue();
        assertThat(get(me, "/api/messages/" + message).path("meeting").asBoolean())
                .isTrue();

        answer(message, "ACCEPTED");
        String reply = reply(0);
        assertThat(reply).contains("METHOD:REPLY", "PARTSTAT=ACCEPTED:mailto:" + ME, "COMMENT:See you there");
        assertThat(reply).doesNotContain("bo@yard.example");
        until(me, () -> !event().isEmpty());
        assertThat(event()).contains("PARTSTAT=ACCEPTED").doesNotContain("METHOD");
        until(me, () -> invitation(message).path("answer").asString("").equals("ACCEPTED"));
        assertThat(get(me, "/api/messages/" + message).path("decision").asString(""))
                .isEqualTo("ANSWERED");
        until(me, () -> get(me, "/api/ahead?days=5").toString().contains("Crane inspection"));
    }

    @Test
    void whatMovesAndIsCalledOffDoesSoInTheCalendarAndWhatIsOldDoesNot() throws Exception {
        String first = says("invite@x.example", "REQUEST", 1, "13");
        answer(first, "ACCEPTED");
        until(me, () -> event().contains("T133000Z"));
        String moved = says("moved@x.example", "REQUEST", 2, "14");
        until(me, () -> event().contains("T143000Z"));
        assertThat(event()).contains("PARTSTAT=NEEDS-ACTION");
        assertThat(invitation(first).path("standing").asString("")).isEqualTo("OUT_OF_DATE");
        assertThat(invitation(first).path("newerMessageId").asString("")).isEqualTo(moved);
        assertThat(invitation(moved).path("answer").asString("")).isEqualTo("NEEDS_ACTION");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + first + "/invitation/answer",
                        "{\"participation\":\"DECLINED\",\"note\":\"\",\"calendarId\":null}"))
                .contains("changed by a later one");
        says("late@x.example", "REQUEST", 0, "09");
        answer(moved, "TENTATIVE");
        until(me, () -> event().contains("PARTSTAT=TENTATIVE"));
        assertThat(event()).contains("T143000Z");
        says("off@x.example", "CANCEL", 3, "14");
        until(me, () -> event().contains("STATUS:CANCELLED"));
        assertThat(invitation(moved).path("standing").asString("")).isEqualTo("CALLED_OFF");
        assertThat(calendars.shelf().size(office)).isEqualTo(2);
    }

    @Test
    void oneTimeOfAnAcceptedSeriesMovesAloneInTheCalendar() throws Exception {
        String whole = says("invite@x.example", "REQUEST", 0, "13", "RRULE:FREQ=WEEKLY;COUNT=3");
        answer(whole, "ACCEPTED");
        until(me, () -> event().contains("RRULE"));
        says("one@x.example", "REQUEST", 1, "15", "RECURRENCE-ID:20260306T133000Z");
        until(me, () -> event().contains("T153000Z"));
        assertThat(event()).contains("RRULE", "PARTSTAT=ACCEPTED", "PARTSTAT=NEEDS-ACTION");
        assertThat(invitation(whole).path("answer").asString("")).isEqualTo("ACCEPTED");
        assertThat(calendars.shelf().size(office)).isEqualTo(2);
    }

    @Test
    void anotherTimeIsProposedAndADeclinedOneLeavesTheCalendarAlone() throws Exception {
        String message = says("invite@x.example", "REQUEST", 0, "13");
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/invitation/counter",
                "{\"day\":\"2026-03-09\",\"from\":\"10:00\",\"minutes\":60,\"note\":\"Friday is full\"}");
        assertThat(reply(0)).contains("METHOD:COUNTER", "DTSTART:20260309T100000Z", "COMMENT:Friday is full");
        answer(message, "DECLINED");
        assertThat(reply(1)).contains("PARTSTAT=DECLINED");
        until(me, () -> get(me, "/api/outbox").isEmpty());
        assertThat(calendars.shelf().size(office)).isEqualTo(1);
    }

    @Test
    void whoHasNotAnsweredMyInvitationIsSeen() throws Exception {
        calendars
                .shelf()
                .put(
                        office,
                        "mine.ics",
                        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:crane@brandt-cranes.example\r\nSUMMARY:Mine\r\n"
                                + "DTSTART:20260306T143000Z\r\nDTEND:20260306T153000Z\r\nORGANIZER:mailto:" + ME
                                + "\r\nATTENDEE;CN=Tilda:mailto:" + TILDA
                                + "\r\nATTENDEE;CN=Bo:mailto:bo@yard.example\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
        until(me, () -> get(me, "/api/ahead?days=5").toString().contains("Mine"));
        mail.put(
                ME,
                "INBOX",
                String.join(
                                "\r\n",
                                "Message-ID: <reply@x.example>",
                                "From: Tilda Brandt <" + TILDA + ">",
                                "To: <" + ME + ">",
                                "Subject: Accepted: Mine",
                                "Content-Type: text/calendar; method=REPLY; charset=UTF-8",
                                "",
                                "BEGIN:VCALENDAR",
                                "METHOD:REPLY",
                                "BEGIN:VEVENT",
                                "UID:crane@brandt-cranes.example",
                                "DTSTAMP:20260303T090000Z",
                                "ORGANIZER:mailto:" + ME,
                                "ATTENDEE;PARTSTAT=ACCEPTED:mailto:" + TILDA,
                                "END:VEVENT",
                                "END:VCALENDAR",
                                "")
                        .getBytes(StandardCharsets.UTF_8),
                MONDAY);
        until(
                me,
                () -> !jdbc.queryForList("select id from message where owner = ?", me.accountId())
                        .isEmpty());
        JsonNode shown = invitation(messageId(me, "reply@x.example"));
        assertThat(shown.path("mine").asBoolean()).isTrue();
        assertThat(shown.path("canAnswer").asBoolean()).isFalse();
        assertThat(shown.path("attendees").findValuesAsString("participation"))
                .containsExactly("ACCEPTED", "NEEDS_ACTION");
    }

    @Test
    void aCalendarThatIsAwayGetsItLaterAndOnce() throws Exception {
        String message = says("invite@x.example", "REQUEST", 0, "13");
        int port = URI.create(calendars.address()).getPort();
        calendars.close();
        answer(message, "ACCEPTED");
        reply(0);
        until(me, () -> get(me, "/api/outbox").toString().contains("could not be reached"));
        restart(port);
        until(me, () -> get(me, "/api/outbox").isEmpty());
        assertThat(calendars.shelf().size(office)).isEqualTo(1);
        assertThat(event()).contains("PARTSTAT=ACCEPTED");
    }

    private void restart(int port) throws IOException {
        calendars = CalendarServer.start(port);
        calendars.shelf().addUser("ines", "secret");
        calendars.shelf().addCalendar("ines", "office", "Office");
    }
}
