package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.core.message.RawMail;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.sources.mail.ArrivedMail;
import tools.jackson.databind.JsonNode;

/** What an answer to an invitation changes here, and takes back, while nothing has gone out yet. */
class InvitationAnswerTest extends ServerTest {

    private SignedIn me;

    @BeforeEach
    void someone() {
        me = newAccount();
    }

    private static ArrivedMail invitation(String id, String organizer, String more) {
        String raw = String.join(
                "\r\n",
                "Message-ID: <" + id + ">",
                "From: Tilda Brandt <tilda@brandt-cranes.example>",
                "To: <" + MINE + ">",
                "Subject: Crane inspection",
                "Date: Mon, 2 Mar 2026 09:00:00 +0000",
                "Content-Type: text/calendar; method=REQUEST; charset=UTF-8",
                "",
                "BEGIN:VCALENDAR",
                "METHOD:REQUEST",
                "BEGIN:VEVENT",
                "UID:" + id,
                "DTSTAMP:20260302T090000Z",
                "DTSTART:20260306T103000Z",
                "DTEND:20260306T113000Z",
                "SUMMARY:Crane inspection",
                organizer,
                "ATTENDEE;PARTSTAT=NEEDS-ACTION:mailto:" + MINE + more,
                "END:VEVENT",
                "END:VCALENDAR",
                "");
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        return new ArrivedMail(1, MONDAY, RawMail.of(bytes), MailParser.parse(bytes));
    }

    private String invited(String more) {
        arrive(me, invitation("i1@x.example", "ORGANIZER:mailto:tilda@brandt-cranes.example", more));
        return messageId(me, "i1@x.example");
    }

    private String say(String message, String participation) {
        return change(
                me,
                HttpMethod.POST,
                "/api/messages/" + message + "/invitation/answer",
                "{\"participation\":\"" + participation + "\",\"note\":\"\",\"calendarId\":null}");
    }

    private JsonNode invitation(String message) {
        return get(me, "/api/messages/" + message + "/invitation");
    }

    private List<String> outbox() {
        return jdbc.queryForList(
                "select state from outbox where owner = ? and kind = 'SEND_MAIL' order by created_at, id",
                String.class,
                me.accountId());
    }

    @Test
    void anAnswerIsTakenBackBeforeItGoesOut() {
        String message = invited("");
        List<String> before = decidedState(me);
        String command = say(message, "ACCEPTED");
        assertThat(invitation(message).path("answer").asString("")).isEqualTo("ACCEPTED");
        assertThat(outbox()).containsExactly("WAITING");
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        assertThat(outbox()).containsExactly("CANCELLED");
        assertThat(decidedState(me)).isEqualTo(before);
        assertThat(invitation(message).path("answer").isNull()).isTrue();
    }

    @Test
    void whoeverChangesTheirMindAnswersAgain() {
        String message = invited("");
        say(message, "TENTATIVE");
        say(message, "DECLINED");
        assertThat(invitation(message).path("answer").asString("")).isEqualTo("DECLINED");
        assertThat(outbox()).hasSize(2);
    }

    @Test
    void oneThatWasStoredBeforeInvitationsWereKeptIsReadFromItsMail() {
        String message = invited("");
        jdbc.update("delete from scheduling where owner = ?", me.accountId());
        assertThat(invitation(message).path("title").asString("")).isEqualTo("Crane inspection");
        say(message, "ACCEPTED");
        assertThat(invitation(message).path("answer").asString("")).isEqualTo("ACCEPTED");
    }

    @Test
    void severalAccountsAreInvitedToTheSame() {
        String mine = invited("");
        say(mine, "ACCEPTED");
        me = newAccount();
        String theirs = invited("");
        assertThat(invitation(theirs).path("answer").isNull()).isTrue();
        say(theirs, "DECLINED");
        assertThat(invitation(theirs).path("answer").asString("")).isEqualTo("DECLINED");
    }

    @Test
    void whatCannotBeAnsweredIsRefusedWithAWord() {
        arrive(me, invitation("i2@x.example", "X-ORGANIZER:nobody", ""));
        String path = "/api/messages/" + messageId(me, "i2@x.example") + "/invitation/";
        String yes = "{\"participation\":\"ACCEPTED\",\"note\":\"\",\"calendarId\":null}";
        assertThat(refusal(me, HttpMethod.POST, path + "answer", yes)).contains("does not say whom to answer");
        String other = invited("");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + other + "/invitation/answer",
                        yes.replace("ACCEPTED", "DELEGATED")))
                .contains("Answer with yes, perhaps or no");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + other + "/invitation/answer",
                        yes.replace("null", "\"" + UUID.randomUUID() + "\"")))
                .contains("404");
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + other + "/invitation/counter",
                        "{\"day\":\"2026-03-01\",\"from\":\"10:00\",\"minutes\":60,\"note\":\"\"}"))
                .contains("lies ahead");
        assertThat(outbox()).isEmpty();
        assertThat(get(me, "/api/messages/" + other).path("decision").asString(""))
                .isEqualTo("UNDECIDED");
    }

    @Test
    void whatIsNoCalendarCostsNothing() {
        arrive(
                me,
                invitation(
                        "i3@x.example",
                        "ORGANIZER:mailto:tilda@brandt-cranes.example",
                        "\r\nDTSTART:never\r\nX:" + "x".repeat(200_000)),
                mail(2, "plain@x.example", "Plain", "", "Hello"));
        assertThat(refusal(me, HttpMethod.GET, "/api/messages/" + messageId(me, "plain@x.example") + "/invitation", ""))
                .contains("404");
        assertThat(get(me, "/api/messages/" + messageId(me, "plain@x.example"))
                        .path("meeting")
                        .asBoolean(true))
                .isFalse();
    }
}
