package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.squallnote.core.message.RawMail;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.sources.mail.ArrivedMail;
import tools.jackson.databind.JsonNode;

/** Handing over to somebody in the installation: each step is seen by the other side. */
class HandOversTest extends ServerTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    private SignedIn ines;
    private SignedIn gus;
    private String given;
    private String taken;
    private String gusAddress;

    @BeforeEach
    void handedOver() {
        ines = newAccount();
        gus = newAccount();
        gusAddress = addressOf(gus, "gus");
        arrive(
                ines,
                mail(1, "q@x.example", "Tilda <tilda@brandt-cranes.example>", "Crane", "", "Could you send it?", NINE));
        given = id(ines, "q@x.example");
        taken = handOver(ines, given, gus, gusAddress, "2026-03-06");
    }

    private String addressOf(SignedIn who, String name) {
        String address = name + "-" + UUID.randomUUID() + "@merrowquay.example";
        jdbc.update("update source set address = ? where owner = ?", address, who.accountId());
        return address;
    }

    private String id(SignedIn who, String messageId) {
        return jdbc.queryForObject(
                "select cast(id as varchar) from message where owner = ? and message_id = ?",
                String.class,
                who.accountId(),
                messageId);
    }

    /** Hands over, and lets the mail come in on both sides; answers the taker's message. */
    private String handOver(SignedIn giver, String message, SignedIn taker, String address, String day) {
        change(
                giver,
                HttpMethod.POST,
                "/api/messages/" + message + "/hand-over",
                "{\"name\":\"Somebody\",\"address\":\"" + address
                        + "\",\"text\":\"Could you take this over?\",\"wantedDay\":\"" + day + "\"}");
        String identity = jdbc.queryForObject(
                "select identity from outbox where owner = ? and identity like 'over.%' order by not_before desc fetch"
                        + " first 1 row only",
                String.class, giver.accountId());
        String from = jdbc.queryForObject(
                "select address from source where owner = ? fetch first 1 row only", String.class, giver.accountId());
        String raw = "Message-ID: <" + identity + ">\r\nFrom: <" + from + ">\r\nTo: <" + address
                + ">\r\nReferences: <q@x.example>\r\nSubject: Fwd: Crane\r\nDate: Mon, 2 Mar 2026 10:00:00 +0000\r\n\r\n"
                + "Could you take this over?\r\n";
        arriveRaw(giver, raw, 50);
        arriveRaw(taker, raw, 51);
        return id(taker, identity);
    }

    private void arriveRaw(SignedIn who, String raw, long uid) {
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        arrive(who, new ArrivedMail(uid, NINE, RawMail.of(bytes), MailParser.parse(bytes)));
    }

    private JsonNode board(SignedIn who) {
        return get(who, "/api/hand-overs");
    }

    private JsonNode mine() {
        return board(ines).path("given").path(0);
    }

    private String say(SignedIn who, String message, String step, String body) {
        return change(who, HttpMethod.POST, "/api/messages/" + message + step, body);
    }

    private int awaited() {
        return get(ines, "/api/threads/" + mine().path("threadId").asString(""))
                .path("line")
                .path("awaited")
                .size();
    }

    private String lastSaidTo(SignedIn who) {
        return jdbc.queryForObject(
                "select label from command where owner = ? and kind = 'hand-over-news' order by done_at desc fetch first"
                        + " 1 row only",
                String.class,
                who.accountId());
    }

    @Test
    void stepByStepUntilItIsDoneAndTheWaitEnds() {
        assertThat(mine().path("colleague").asBoolean(false)).isTrue();
        assertThat(mine().path("wantedDay").asString("")).isEqualTo("2026-03-06");
        assertThat(awaited()).isEqualTo(1);

        call(gus, HttpMethod.POST, "/api/messages/" + taken + "/hand-over/seen", "");
        assertThat(mine().path("state").asString("")).isEqualTo("SEEN");
        say(gus, taken, "/accept", "{\"day\":\"2026-03-09\",\"followUp\":true}");
        assertThat(mine().path("state").asString("")).isEqualTo("ACCEPTED");
        assertThat(mine().path("laterThanWanted").asBoolean(false)).isTrue();
        assertThat(lastSaidTo(ines)).contains("has accepted it for Mon 9 Mar: Crane");
        JsonNode followUp = get(gus, "/api/follow-ups").path("open").path(0);
        assertThat(followUp.path("title").asString("")).isEqualTo("Crane (for Ines Calloway)");
        assertThat(followUp.path("replyDay").asString("")).isEqualTo("2026-03-09");

        say(gus, taken, "/hand-over/working", "");
        assertThat(mine().path("state").asString("")).isEqualTo("WORKING");
        say(gus, taken, "/hand-over/done", "{\"word\":\"It is in the shed.\"}");
        assertThat(mine().path("state").asString("")).isEqualTo("DONE");
        assertThat(lastSaidTo(ines)).contains("has done it (It is in the shed.): Crane");
        assertThat(awaited()).as("nobody is waited for any more").isZero();
        assertThat(get(gus, "/api/follow-ups").path("open").size()).isZero();
        assertThat(board(gus).path("received").path(0).path("state").asString(""))
                .isEqualTo("DONE");
    }

    @Test
    void isDoneWithTheFollowUpForItAndOpenAgainWithItsUndo() throws InterruptedException {
        say(gus, taken, "/accept", "{\"day\":null,\"followUp\":true}");
        String followUp =
                get(gus, "/api/follow-ups").path("open").path(0).path("id").asString("");
        String done = change(gus, HttpMethod.POST, "/api/follow-ups/" + followUp + "/state?state=DONE&version=0", "");
        until(ines, () -> mine().path("state").asString("").equals("DONE"));
        until(ines, () -> awaited() == 0);
        change(gus, HttpMethod.POST, "/api/commands/" + done + "/undo", "");
        assertThat(mine().path("state").asString("")).isEqualTo("ACCEPTED");
        until(ines, () -> awaited() == 1);
    }

    @Test
    void whatIsDeclinedIsBackWithItsGiver() {
        say(gus, taken, "/decline", "{\"word\":\"on leave\"}");
        assertThat(mine().path("state").asString("")).isEqualTo("DECLINED");
        assertThat(mine().path("word").asString("")).isEqualTo("on leave");
        assertThat(get(ines, "/api/threads?turn=WITH_ME").path("lines").size()).isEqualTo(1);
        assertThat(get(ines, "/api/intake").path("total").asInt(0)).isEqualTo(1);
    }

    @Test
    void isTakenBackFromItsTakerWithTheirFollowUp() {
        say(gus, taken, "/accept", "{\"day\":null,\"followUp\":true}");
        say(ines, given, "/hand-over/back", "");
        assertThat(mine().path("state").asString("")).isEqualTo("TAKEN_BACK");
        assertThat(get(ines, "/api/intake").path("total").asInt(0)).isEqualTo(1);
        assertThat(awaited()).isZero();
        assertThat(get(gus, "/api/follow-ups").path("open").size()).isZero();
        assertThat(lastSaidTo(gus)).contains("has taken back what they handed over to you");
        assertThat(refusal(gus, HttpMethod.POST, "/api/messages/" + taken + "/hand-over/done", "{\"word\":\"\"}"))
                .contains("has taken it back");
        assertThat(refusal(ines, HttpMethod.POST, "/api/messages/" + given + "/hand-over/back", ""))
                .contains("not with anybody else");
    }

    @Test
    void whatIsHandedOnIsDoneWhereItWent() throws InterruptedException {
        SignedIn bo = newAccount();
        String bosAddress = addressOf(bo, "bo");
        say(gus, taken, "/accept", "{\"day\":null,\"followUp\":false}");
        String on = handOver(gus, taken, bo, bosAddress, "2026-03-05");
        until(ines, () -> mine().path("state").asString("").equals("HANDED_ON"));
        say(bo, on, "/accept", "{\"day\":null,\"followUp\":false}");
        say(bo, on, "/hand-over/done", "{\"word\":\"Sent.\"}");
        until(ines, () -> mine().path("state").asString("").equals("DONE"));
        assertThat(mine().path("word").asString("")).isEqualTo("Sent.");
        until(ines, () -> awaited() == 0);
    }

    @Test
    void nobodyElseSeesOrSettlesIt() {
        SignedIn stranger = newAccount();
        assertThat(board(stranger).path("given").size()).isZero();
        assertThat(board(stranger).path("received").size()).isZero();
        assertThat(refusal(stranger, HttpMethod.POST, "/api/messages/" + taken + "/accept", ""))
                .contains("no such message");
        assertThat(refusal(ines, HttpMethod.POST, "/api/messages/" + given + "/accept", ""))
                .contains("no such hand-over");
    }
}
