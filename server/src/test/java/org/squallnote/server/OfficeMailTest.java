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

/** A mailbox that several read: who sees to a message is shown, and an answer by one settles it for all. */
class OfficeMailTest extends ServerTest {

    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");

    private SignedIn ines;
    private SignedIn gus;
    private String office;
    private String hers;
    private String his;

    @BeforeEach
    void aMailToTheOffice() {
        ines = newAccount();
        gus = newAccount();
        office = "office-" + UUID.randomUUID() + "@merrowquay.example";
        jdbc.update("update source set address = ? where owner in (?, ?)", office, ines.accountId(), gus.accountId());
        hers = arrived(ines);
        his = arrived(gus);
    }

    private String arrived(SignedIn who) {
        String raw =
                "Message-ID: <q-" + office + ">\r\nFrom: Tilda Brandt <tilda@brandt-cranes.example>\r\nTo: <" + office
                        + ">\r\nSubject: Crane\r\nDate: Mon, 2 Mar 2026 09:00:00 +0000\r\n\r\nCould you send me the plan?\r\n";
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        arrive(who, new ArrivedMail(1, NINE, RawMail.of(bytes), MailParser.parse(bytes)));
        return jdbc.queryForObject(
                "select cast(id as varchar) from message where owner = ?", String.class, who.accountId());
    }

    private JsonNode view(SignedIn who, String id) {
        return get(who, "/api/messages/" + id + "/office").path("office");
    }

    private int intake(SignedIn who) {
        return get(who, "/api/intake").path("total").asInt(-1);
    }

    private int withMe(SignedIn who) {
        return get(who, "/api/threads?turn=WITH_ME").path("lines").size();
    }

    private String answer(SignedIn who, String id, String more) {
        return change(
                who,
                HttpMethod.POST,
                "/api/messages/" + id + "/answer",
                "{\"text\":\"The plan is attached.\",\"toAll\":false" + more + "}");
    }

    @Test
    void whoSeesToItIsShownAndItIsNotTheOthersTurn() throws InterruptedException {
        assertThat(view(ines, hers).path("readers").path(0).asString("")).isEqualTo(gus.name());
        assertThat(view(ines, hers).path("state").asString("")).isEqualTo("FREE");

        change(gus, HttpMethod.PUT, "/api/messages/" + his + "/office", "");
        until(ines, () -> intake(ines) == 0);
        assertThat(withMe(ines)).isZero();
        assertThat(withMe(gus)).as("it is his").isEqualTo(1);
        assertThat(view(ines, hers).path("by").asString("")).isEqualTo(gus.name());
        assertThat(view(ines, hers).path("mine").asBoolean(true)).isFalse();

        change(gus, HttpMethod.DELETE, "/api/messages/" + his + "/office", "");
        until(ines, () -> intake(ines) == 1);
        until(ines, () -> withMe(ines) == 1);
    }

    @Test
    void anAnswerByOneSettlesItForAllUntilItIsTakenBack() throws InterruptedException {
        String command = answer(gus, his, "");
        until(ines, () -> intake(ines) == 0);
        until(ines, () -> withMe(ines) == 0);
        assertThat(view(ines, hers).path("state").asString("")).isEqualTo("ANSWERED");
        change(gus, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        until(ines, () -> intake(ines) == 1);
        until(ines, () -> withMe(ines) == 1);
    }

    @Test
    void whatSheDecidedHerselfStaysSo() throws InterruptedException {
        change(ines, HttpMethod.POST, "/api/messages/" + hers + "/nothing", "");
        change(gus, HttpMethod.PUT, "/api/messages/" + his + "/office", "");
        until(ines, () -> view(ines, hers).path("state").asString("").equals("TAKEN"));
        change(gus, HttpMethod.DELETE, "/api/messages/" + his + "/office", "");
        until(ines, () -> withMe(ines) == 1);
        assertThat(intake(ines)).isZero();
    }

    @Test
    void twoWhoAnswerAtTheSameTimeAreWarned() {
        change(
                gus,
                HttpMethod.PUT,
                "/api/messages/" + his + "/draft",
                "{\"text\":\"The pl\",\"toAll\":false,\"cc\":\"\",\"bcc\":\"\"}");
        assertThat(view(ines, hers).path("writing").path(0).asString("")).isEqualTo(gus.name());
        answer(gus, his, "");
        assertThat(view(ines, hers).path("writing").size()).isZero();
        assertThat(refusal(
                        ines,
                        HttpMethod.POST,
                        "/api/messages/" + hers + "/answer",
                        "{\"text\":\"Here it is.\",\"toAll\":false}"))
                .contains("has answered this already");
        answer(ines, hers, ",\"anyway\":true");
    }

    @Test
    void whoeverDoesNotReadTheMailboxKnowsNothingOfIt() {
        SignedIn stranger = newAccount();
        assertThat(refusal(stranger, HttpMethod.PUT, "/api/messages/" + hers + "/office", ""))
                .contains("no such message");
        SignedIn alone = newAccount();
        jdbc.update("update source set address = ? where owner = ?", "own-" + office, alone.accountId());
        String own = arrived(alone);
        assertThat(view(alone, own).isNull()).isTrue();
        assertThat(refusal(alone, HttpMethod.PUT, "/api/messages/" + own + "/office", ""))
                .contains("Nobody else reads this mailbox");
    }
}
