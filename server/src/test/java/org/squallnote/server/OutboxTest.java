package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Flags;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.core.account.Account;
import org.squallnote.core.source.Source;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.outbox.OutboxRunner;
import org.squallnote.standins.mail.MailStandIn;
import tools.jackson.databind.JsonNode;

/** With real engines against the stand-ins: what is decided here happens there, once. */
@AgainstServers
class OutboxTest extends ServerTest {

    private static final String ME = "ines.own@merrowquay.example";
    private static final String TILDA = "tilda@brandt-cranes.example";

    @Autowired
    private OutboxRunner.Tools tools;

    @Autowired
    private TestClock clock;

    private MailStandIn server;
    private SignedIn me;

    @BeforeEach
    void connect() throws Exception {
        clock.run();
        server = MailStandIn.start(0, 0);
        server.addMailbox(ME, "secret");
        server.addMailbox(TILDA, "secret");
        server.addFolder(ME, "Sent");
        server.addFolder(ME, "Archive");
        server.addFolder(ME, "Drafts");
        UUID id = UUID.randomUUID();
        accounts.insert(new Account(id, "user-" + id, "Ines", "none", "Europe/London", true, MONDAY));
        me = new SignedIn(id, "Ines", "Europe/London", true);
        server.put(ME, "INBOX", raw(), MONDAY);
        change(me, HttpMethod.POST, "/api/sources/mail/" + UUID.randomUUID(), form());
        until(() -> get(me, "/api/threads?turn=WITH_ME").path("lines").size() == 1);
    }

    @AfterEach
    void disconnect() {
        clock.stand();
        for (JsonNode source : get(me, "/api/sources")) {
            change(
                    me,
                    HttpMethod.DELETE,
                    "/api/sources/" + source.path("id").asString("") + "?version="
                            + source.path("version").asInt(0),
                    "");
        }
        server.close();
    }

    private static byte[] raw() {
        return ("Message-ID: <q2@x.example>\r\nFrom: Tilda <" + TILDA + ">\r\nTo: <" + ME
                        + ">\r\nCc: Bo <bo@merrowquay.example>\r\n"
                        + "Subject: Quote\r\nReferences: <q1@x.example>\r\n\r\nCould you send the plan?\r\n")
                .getBytes(StandardCharsets.UTF_8);
    }

    private String form() {
        return """
                {"name":"Ines","address":"%s","fromName":"Ines Calloway","user":"%s","password":"secret","inbox":"INBOX","sent":"Sent",
                 "archive":"Archive","drafts":"Drafts","daysBack":90,"archiveRule":"AT_ONCE",
                 "imap":{"host":"127.0.0.1","port":%d,"encryption":"NONE"},"smtp":{"host":"127.0.0.1","port":%d,"encryption":"NONE"}}""".formatted(ME, ME, server.imapPort(), server.smtpPort());
    }

    private String message() {
        return messageId(me, "q2@x.example");
    }

    @Test
    void anAnswerGoesOutOnceWithTheRightReferencesAndLiesAmongTheSent() throws Exception {
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message() + "/answer",
                "{\"text\":\"Here it is.\",\"toAll\":true}");
        until(() -> server.messages(TILDA, "INBOX").size() == 1
                && server.messages(ME, "Sent").size() == 1);

        MimeMessage sent = server.messages(TILDA, "INBOX").get(0);
        assertThat(sent.getHeader("In-Reply-To", null)).isEqualTo("<q2@x.example>");
        assertThat(sent.getHeader("References", " ")).containsSubsequence("q1@x.example", "q2@x.example");
        assertThat(sent.getSubject()).isEqualTo("Re: Quote");
        assertThat(sent.getHeader("Cc", ",")).contains("bo@merrowquay.example");
        assertThat(sent.getFrom()[0].toString()).isEqualTo("Ines Calloway <" + ME + ">");
        until(() -> get(me, "/api/threads?turn=NOBODY").path("lines").size() == 1);
        until(() -> jdbc.queryForObject("select count(*) from message where owner = ?", Integer.class, me.accountId())
                == 2);
        until(() -> get(me, "/api/outbox").isEmpty());
        assertThat(server.messages(TILDA, "INBOX")).hasSize(1);
    }

    @Test
    void whatWasNotDeliveredIsSentAgainToAnotherAddress() throws Exception {
        server.put(ME, "Sent", ("""
                Message-ID: <fees@merrowquay.example>
                From: <ines.own@merrowquay.example>
                To: <wilma@gone.example>
                Subject: Mooring fees

                The fees are due.
                """).replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8), MONDAY);
        server.put(ME, "INBOX", ("""
                Message-ID: <report@gone.example>
                From: Mail Delivery System <MAILER-DAEMON@gone.example>
                To: <ines.own@merrowquay.example>
                References: <fees@merrowquay.example>
                Subject: Undelivered: Mooring fees
                Content-Type: multipart/report; report-type=delivery-status; boundary=b

                --b
                Content-Type: text/plain

                wilma@gone.example could not be reached.
                --b
                Content-Type: message/delivery-status

                Reporting-MTA: dns; gone.example

                Final-Recipient: rfc822; wilma@gone.example
                Action: failed
                Status: 5.1.1
                --b--
                """).replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8), MONDAY.plusSeconds(60));
        until(() -> count("select count(*) from message where owner = ? and nature = 'BOUNCE'") == 1
                && count("select count(*) from message where owner = ? and direction = 'OUTGOING'") == 1);
        String report = "/api/messages/" + messageId(me, "report@gone.example");
        assertThat(refusal(me, HttpMethod.POST, report + "/send-again", "{\"address\":\"wilma at home\"}"))
                .contains("address");
        change(me, HttpMethod.POST, report + "/send-again", "{\"address\":\"" + TILDA + "\"}");
        until(() -> server.messages(TILDA, "INBOX").size() == 1);
        MimeMessage again = server.messages(TILDA, "INBOX").get(0);
        assertThat(again.getSubject()).isEqualTo("Mooring fees");
        assertThat(again.getHeader("References", " ")).contains("fees@merrowquay.example");
        assertThat(text(again)).contains("The fees are due.");
        assertThat(get(me, report).path("decision").asString("")).isEqualTo("ANSWERED");
        until(() -> count("select count(*) from message where owner = ? and direction = 'OUTGOING'") == 2);
        assertThat(count("select count(distinct thread_id) from message where owner = ? and direction = 'OUTGOING'"))
                .isEqualTo(1);
    }

    @Test
    void aDecidedMailIsArchivedAndUndoBringsItBack() throws Exception {
        String command = change(me, HttpMethod.POST, "/api/messages/" + message() + "/nothing", "");
        until(() -> server.messages(ME, "INBOX").isEmpty()
                && server.messages(ME, "Archive").size() == 1);
        until(() -> get(me, "/api/outbox").isEmpty());
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        until(() -> server.messages(ME, "INBOX").size() == 1
                && server.messages(ME, "Archive").isEmpty());
        assertThat(get(me, "/api/messages/" + message()).path("decision").asString(""))
                .isEqualTo("UNDECIDED");
    }

    @Test
    void aDraftLiesOnTheServerOnceUntilItIsSent() throws Exception {
        String path = "/api/messages/" + message();
        draft(path, "Dear Ti", "no address yet");
        until(() -> server.messages(ME, "Drafts").size() == 1);
        draft(path, "Dear Tilda", "noor@x.example");
        until(() -> server.messages(ME, "Drafts").stream()
                        .anyMatch(kept -> text(kept).contains("Dear Tilda"))
                && server.messages(ME, "Drafts").size() == 1);
        MimeMessage kept = server.messages(ME, "Drafts").get(0);
        assertThat(kept.isSet(Flags.Flag.DRAFT)).isTrue();
        assertThat(kept.getHeader("To", ",")).contains(TILDA);
        assertThat(kept.getHeader("Cc", ",")).contains("noor@x.example");
        assertThat(kept.getHeader("In-Reply-To", null)).isEqualTo("<q2@x.example>");

        String command = change(me, HttpMethod.POST, path + "/answer", "{\"text\":\"Dear Tilda\",\"toAll\":false}");
        until(() -> server.messages(ME, "Drafts").isEmpty());
        assertThat(tryChange(me, HttpMethod.POST, "/api/commands/" + command + "/undo", ""))
                .as("it has gone out")
                .isEmpty();
    }

    @Test
    void aDraftThatIsGivenUpGoesFromTheServerToo() throws Exception {
        String path = "/api/messages/" + message();
        draft(path, "Never mind", "");
        until(() -> server.messages(ME, "Drafts").size() == 1);
        draft(path, "", "");
        until(() -> server.messages(ME, "Drafts").isEmpty());
    }

    @Test
    void anAnswerThatIsTakenBackIsADraftAgainWithEverybodyWhoWasToGetIt() {
        server.close();
        String path = "/api/messages/" + message();
        String command = change(
                me,
                HttpMethod.POST,
                path + "/answer",
                "{\"text\":\"Here.\",\"toAll\":true,\"cc\":[\"noor@x.example\"],\"bcc\":[\"hidden@x.example\"]}");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        JsonNode draft = get(me, path).path("draft");
        assertThat(draft.path("text").asString("")).isEqualTo("Here.");
        assertThat(draft.path("toAll").asBoolean(false)).isTrue();
        assertThat(draft.path("cc").asString("")).isEqualTo("noor@x.example");
        assertThat(draft.path("bcc").asString("")).isEqualTo("hidden@x.example");
    }

    private void draft(String path, String text, String cc) {
        assertThat(call(
                        me,
                        HttpMethod.PUT,
                        path + "/draft",
                        "{\"text\":\"" + text + "\",\"toAll\":false,\"cc\":\"" + cc + "\",\"bcc\":\"\"}"))
                .hasStatus2xxSuccessful();
    }

    private static String text(MimeMessage message) {
        try {
            return String.valueOf(message.getContent());
        } catch (IOException | MessagingException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aHiddenCopyIsSeenByNobodyElse() throws Exception {
        server.addMailbox("noor@x.example", "secret");
        server.addMailbox("hidden@x.example", "secret");
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message() + "/answer",
                "{\"text\":\"Here.\",\"toAll\":false,\"cc\":[\"noor@x.example\"],\"bcc\":[\"hidden@x.example\"]}");
        until(() -> server.messages(TILDA, "INBOX").size() == 1
                && server.messages("noor@x.example", "INBOX").size() == 1
                && server.messages("hidden@x.example", "INBOX").size() == 1
                && server.messages(ME, "Sent").size() == 1);
        for (String address : List.of(TILDA, "noor@x.example", "hidden@x.example")) {
            assertThat(server.messages(address, "INBOX").get(0).getHeader("Bcc"))
                    .isNull();
        }
        assertThat(server.messages(TILDA, "INBOX").get(0).getHeader("Cc", ",")).contains("noor@x.example");
        assertThat(server.messages(ME, "Sent").get(0).getHeader("Bcc", ",")).contains("hidden@x.example");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + message() + "/answer",
                        "{\"text\":\"Here.\",\"toAll\":false,\"cc\":[\"no address\"]}"))
                .contains("cc[0]");
    }

    @Test
    void aMailWithoutAnIdentifierIsBroughtBackToo() throws Exception {
        byte[] bare = ("From: Tilda <" + TILDA + ">\r\nTo: <" + ME
                        + ">\r\nSubject: No identifier\r\n\r\nCould you look at it?\r\n")
                .getBytes(StandardCharsets.UTF_8);
        server.put(ME, "INBOX", bare, MONDAY.plusSeconds(60));
        until(() -> count("select count(*) from message where owner = ? and message_id = ''") == 1);
        String id = String.valueOf(jdbc.queryForObject(
                "select id from message where owner = ? and message_id = ''", UUID.class, me.accountId()));
        String command = change(me, HttpMethod.POST, "/api/messages/" + id + "/nothing", "");
        until(() -> server.messages(ME, "Archive").size() == 1);
        until(() -> get(me, "/api/outbox").isEmpty());
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        until(() -> server.messages(ME, "Archive").isEmpty()
                && server.messages(ME, "INBOX").size() == 2);
        assertThat(count("select count(*) from message where owner = ?")).isEqualTo(2);
    }

    @Test
    void whatCannotBeBroughtBackIsSaid() throws Exception {
        String command = change(me, HttpMethod.POST, "/api/messages/" + message() + "/nothing", "");
        until(() -> server.messages(ME, "Archive").size() == 1);
        until(() -> get(me, "/api/outbox").isEmpty());
        server.clear(ME, "Archive");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        until(() -> get(me, "/api/outbox").path(0).path("state").asString("").equals("FAILED"));
        assertThat(get(me, "/api/outbox").path(0).path("lastError").asString(""))
                .contains("The mail is no longer in Archive");
    }

    @Test
    void twoWorkersDoEverythingOnce() throws Exception {
        for (int i = 0; i < 12; i++) {
            server.put(
                    ME,
                    "INBOX",
                    ("Message-ID: <w" + i + "@x.example>\r\nFrom: Tilda <" + TILDA + ">\r\nTo: <" + ME
                                    + ">\r\nSubject: Work " + i + "\r\n\r\nCould you send list " + i + "?\r\n")
                            .getBytes(StandardCharsets.UTF_8),
                    MONDAY.plusSeconds(i));
        }
        until(() -> count("select count(*) from message where owner = ?") == 13);
        Source source = sources.of(me.accountId()).get(0);
        try (OutboxRunner second = new OutboxRunner(source, tools, Optional.empty(), Optional.empty())) {
            second.start();
            for (int i = 0; i < 12; i++) {
                change(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + messageId(me, "w" + i + "@x.example") + "/answer",
                        "{\"text\":\"List " + i + "\",\"toAll\":false}");
                second.wake();
            }
            until(() -> get(me, "/api/outbox").isEmpty());
        }
        assertThat(server.messages(TILDA, "INBOX")).hasSize(12);
        assertThat(server.messages(ME, "Sent")).hasSize(12);
        assertThat(count("select count(*) from outbox where owner = ? and state <> 'DONE'"))
                .isZero();
    }

    @Test
    void aWorkerThatStartsLeavesAloneWhatAnotherOneHasInItsHands() throws Exception {
        server.close();
        String path = "/api/messages/" + message();
        change(me, HttpMethod.POST, path + "/answer", "{\"text\":\"Slowly.\",\"toAll\":false}");
        UUID answer = jdbc.queryForObject(
                "select id from outbox where owner = ? and kind = 'SEND_MAIL'", UUID.class, me.accountId());
        until(() -> tools.claims().take(answer));
        jdbc.update("update outbox set state = 'UNDER_WAY' where owner = ?", me.accountId());
        Source source = sources.of(me.accountId()).get(0);
        try (OutboxRunner second = new OutboxRunner(source, tools, Optional.empty(), Optional.empty())) {
            second.start();
            // Looked at after the answer, and nobody's.
            until(() -> count("select count(*) from outbox where owner = ? and kind = 'ARCHIVE' and state = 'WAITING'")
                    == 1);
            assertThat(state(answer)).isEqualTo("UNDER_WAY");
        }
        tools.claims().release(answer);
        try (OutboxRunner third = new OutboxRunner(source, tools, Optional.empty(), Optional.empty())) {
            third.start();
            until(() -> state(answer).equals("UNCERTAIN"));
        }
    }

    private String state(UUID entry) {
        return String.valueOf(jdbc.queryForObject("select state from outbox where id = ?", String.class, entry));
    }

    @Test
    void anAnswerThatTheUserSaysWentOutLiesAmongTheSent() throws Exception {
        server.close();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message() + "/answer",
                "{\"text\":\"By another way.\",\"toAll\":false}");
        String entry = String.valueOf(jdbc.queryForObject(
                "select id from outbox where owner = ? and kind = 'SEND_MAIL'", UUID.class, me.accountId()));
        jdbc.update("update outbox set state = 'UNCERTAIN' where id = ?", UUID.fromString(entry));
        change(me, HttpMethod.POST, "/api/outbox/" + entry + "/went-out", "");
        assertThat(count("select count(*) from outbox where owner = ? and kind = 'APPEND_SENT'"))
                .isEqualTo(1);
    }

    @Test
    void aServerThatIsGoneKeepsTheAnswerWaiting() throws Exception {
        server.close();
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message() + "/answer",
                "{\"text\":\"Later then.\",\"toAll\":false}");
        until(() -> !get(me, "/api/outbox").isEmpty()
                && get(me, "/api/outbox").path(0).path("attempts").asInt(0) > 0);
        JsonNode waiting = get(me, "/api/outbox").path(0);
        assertThat(waiting.path("state").asString("")).isEqualTo("WAITING");
        assertThat(waiting.path("lastError").asString("")).contains("Nothing answers on this port");
    }

    private int count(String query) {
        return Optional.ofNullable(jdbc.queryForObject(query, Integer.class, me.accountId()))
                .orElse(0);
    }

    private void until(BooleanSupplier condition) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(90).toNanos();
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime())
                    .as(() -> "waited too long; the outbox: " + get(me, "/api/outbox"))
                    .isLessThan(end);
            Thread.sleep(50);
        }
    }
}
