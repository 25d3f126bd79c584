package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.squallnote.core.account.Account;
import org.squallnote.server.account.SignedIn;
import org.squallnote.standins.chat.Homeserver;
import org.squallnote.standins.chat.HomeserverState;
import tools.jackson.databind.JsonNode;

/** With a real engine against a homeserver: answers, signs, invitations and read markers arrive there. */
@AgainstServers
class ChatRoomsTest extends ServerTest {

    @Autowired
    private TestClock clock;

    private Homeserver server;
    private HomeserverState state;
    private SignedIn me;
    private String ines;
    private String bo;
    private String room;
    private String source;

    @BeforeEach
    void connect() throws IOException, InterruptedException {
        clock.run();
        server = Homeserver.start(0, "merrowquay.example", Clock.systemUTC());
        state = server.state();
        ines = state.addUser("ines", "Ines", "secret");
        bo = state.addUser("bo", "Bo Lindgren", "secret");
        room = state.addRoom(
                Optional.of("Harbour crew"), List.of(ines, bo), Instant.now().minusSeconds(999));
        UUID id = UUID.randomUUID();
        accounts.insert(new Account(id, "user-" + id, "Ines", "none", "Europe/London", true, MONDAY));
        me = new SignedIn(id, "Ines", "Europe/London", true);
        source = UUID.randomUUID().toString();
        change(
                me,
                HttpMethod.POST,
                "/api/sources/chat/" + source,
                "{\"name\":\"Chat\",\"homeserver\":\"" + server.address()
                        + "\",\"user\":\"ines\",\"password\":\"secret\",\"accessToken\":\"\",\"daysBack\":9,"
                        + "\"archiveRule\":\"AT_ONCE\"}");
        until(() -> get(me, "/api/sources").path(0).path("status").asString("").equals("LIVE"));
    }

    @AfterEach
    void disconnect() {
        clock.stand();
        int version = get(me, "/api/sources").path(0).path("version").asInt(0);
        change(me, HttpMethod.DELETE, "/api/sources/" + source + "?version=" + version, "");
        server.close();
    }

    @Test
    void aMessageIsAnsweredInItsRoomAndMentionsPeople() throws Exception {
        String question = arrived(says("Ines, who has the key?"));
        change(
                me,
                HttpMethod.POST,
                "/api/messages/" + question + "/answer",
                "{\"text\":\"Ask @bo lindgren.\",\"toAll\":false}");
        until(() -> sent("m.room.message", "Ask @bo lindgren.").isPresent());
        JsonNode content = sent("m.room.message", "Ask @bo lindgren.").orElseThrow();
        assertThat(content.path("formatted_body").asString("")).contains("#/" + bo);
        until(() -> count("message where owner = ? and direction = 'OUTGOING'") == 1);
        assertThat(count("(select distinct thread_id from message where owner = ?)"))
                .isEqualTo(1);
    }

    @Test
    void aFileAloneIsAnAnswer() throws Exception {
        String question = arrived(says("Ines, could you send the plan?"));
        assertThat(refusal(
                        me,
                        HttpMethod.POST,
                        "/api/messages/" + question + "/answer",
                        "{\"text\":\" \",\"toAll\":false}"))
                .contains("is empty");
        upload(
                me,
                "/api/messages/" + question + "/draft/files/" + UUID.randomUUID() + "?name=plan.txt&type=text/plain",
                "north pontoon");
        change(me, HttpMethod.POST, "/api/messages/" + question + "/answer", "{\"text\":\"\",\"toAll\":false}");
        until(() -> sent("m.room.message", "plan.txt").isPresent());
        JsonNode content = sent("m.room.message", "plan.txt").orElseThrow();
        assertThat(content.path("msgtype").asString("")).isEqualTo("m.file");
        assertThat(content.path("url").asString("")).startsWith("mxc://");
    }

    @Test
    void aSignIsPutOnAMessageAndTakenOff() throws Exception {
        String question = arrived(says("Shall we hide the heron?"));
        String command = react(question, "\uD83D\uDC4D");
        until(() -> signs(question).equals(List.of("\uD83D\uDC4D true me")));
        change(me, HttpMethod.POST, "/api/commands/" + command + "/undo", "");
        until(() -> signs(question).isEmpty());

        react(question, "\uD83D\uDC40");
        until(() -> signs(question).size() == 1);
        assertThat(refusal(
                        me, HttpMethod.POST, "/api/messages/" + question + "/reactions", "{\"sign\":\"\uD83D\uDC40\"}"))
                .contains("409");
        change(me, HttpMethod.DELETE, "/api/messages/" + question + "/reactions?sign=\uD83D\uDC40", "");
        until(() -> signs(question).isEmpty());
    }

    @Test
    void anInvitationAsksAndIsAccepted() throws Exception {
        String helpers = inviting("Regatta helpers");
        String invitation = arrived("invite");
        JsonNode message = get(me, "/api/messages/" + invitation);
        assertThat(message.path("asksMe").asBoolean()).isTrue();
        assertThat(message.path("roomInvitation").asBoolean()).isTrue();
        assertThat(message.path("ownWords").asString("")).contains("Regatta helpers");
        change(me, HttpMethod.POST, "/api/messages/" + invitation + "/room-invitation?accept=true", "");
        until(() -> rooms().equals(List.of("Harbour crew", "Regatta helpers")));
        say(helpers, "Welcome, Ines");
        until(() -> count("message where owner = ? and body = 'Welcome, Ines'") == 1);
    }

    @Test
    void anInvitationIsDeclinedOrTakenBack() throws Exception {
        String helpers = inviting("Regatta helpers");
        String invitation = arrived("invite");
        change(me, HttpMethod.POST, "/api/messages/" + invitation + "/room-invitation?accept=false", "");
        until(() -> count("outbox where owner = ? and kind = 'LEAVE_ROOM' and state = 'DONE'") == 1);

        state.setMembership(bo, helpers, ines, "invite");
        until(() -> count("message where owner = ? and nature = 'INVITATION' and decision = 'UNDECIDED'") == 1);
        state.setMembership(bo, helpers, ines, "leave");
        until(() -> count("message where owner = ? and nature = 'INVITATION' and removed = true") == 1);
        assertThat(get(me, "/api/intake").path("lines").isEmpty()).isTrue();
    }

    @Test
    void myReadMarkerFollowsWhatIsDecided() throws Exception {
        String first = says("Ines, could you send the plan?");
        String second = says("Ines, could you book the crane?");
        String later = arrived(second);
        nothingToDo(later);
        until(() -> count("outbox where owner = ? and state <> 'DONE'") == 0);
        assertThat(state.readMarker(ines, room)).isEmpty();
        nothingToDo(arrived(first));
        until(() -> state.readMarker(ines, room).equals(Optional.of(second)));
    }

    @Test
    void whatIsDecidedAtOnceMovesMyMarkerOnce() throws Exception {
        String first = arrived(says("Ines, could you send the plan?"));
        String second = says("Ines, could you book the crane?");
        change(
                me,
                HttpMethod.POST,
                "/api/intake/decisions",
                "{\"messageIds\":[\"" + first + "\",\"" + arrived(second) + "\"],\"decision\":\"NOTHING\"}");
        until(() -> state.readMarker(ines, room).equals(Optional.of(second)));
        assertThat(count("outbox where owner = ? and kind = 'READ_UP_TO'")).isEqualTo(1);
    }

    @Test
    void readingFurtherBackLaterBringsWhatIsOlder() throws Exception {
        String old = state.addRoom(Optional.of("Old quay"), List.of(ines, bo), MONDAY.minus(Duration.ofDays(40)));
        for (int day = 30; day > 0; day--) {
            for (int i = 0; i < 10; i++) {
                state.addEvent(
                        old,
                        bo,
                        "m.room.message",
                        json.createObjectNode().put("msgtype", "m.text").put("body", "day " + day + ", " + i),
                        MONDAY.minus(Duration.ofHours(24L * day + 12)).plusSeconds(i));
            }
        }
        until(() -> count("message where owner = ? and body like 'day %'") == 60);
        int version = get(me, "/api/sources").path(0).path("version").asInt(0);
        change(
                me,
                HttpMethod.PUT,
                "/api/sources/chat/" + source + "?version=" + version,
                "{\"name\":\"Chat\",\"daysBack\":60,\"archiveRule\":\"NEVER\"}");
        until(() -> count("message where owner = ? and body like 'day %'") == 300);
        until(() -> get(me, "/api/sources").path(0).path("status").asString("").equals("LIVE"));
        assertThat(count("chat_gap where owner = ?")).isZero();
    }

    @Test
    void aRoomIsLeftAndWhatWasSaidStays() throws Exception {
        arrived(says("The tide is high."));
        change(me, HttpMethod.POST, "/api/sources/" + source + "/rooms/leave?room=" + room, "");
        until(() -> rooms().isEmpty());
        assertThat(count("message where owner = ?")).isEqualTo(1);
        assertThat(refusal(me, HttpMethod.POST, "/api/sources/" + source + "/rooms/leave?room=" + room, ""))
                .contains("room");
    }

    private void nothingToDo(String message) {
        change(me, HttpMethod.POST, "/api/messages/" + message + "/nothing", "");
    }

    private String react(String message, String sign) {
        return change(me, HttpMethod.POST, "/api/messages/" + message + "/reactions", "{\"sign\":\"" + sign + "\"}");
    }

    private List<String> signs(String message) {
        String thread = get(me, "/api/messages/" + message).path("threadId").asString("");
        return StreamSupport.stream(
                        get(me, "/api/threads/" + thread).path("messages").spliterator(), false)
                .flatMap(each -> StreamSupport.stream(each.path("reactions").spliterator(), false))
                .map(sign ->
                        sign.path("sign").asString("") + " " + sign.path("mine").asBoolean() + " "
                                + sign.path("by").path(0).asString(""))
                .toList();
    }

    private List<String> rooms() {
        return StreamSupport.stream(get(me, "/api/sources/" + source + "/rooms").spliterator(), false)
                .map(each -> each.path("name").asString(""))
                .toList();
    }

    private String says(String text) {
        return say(room, text);
    }

    private String say(String where, String text) {
        return state.addEvent(
                where,
                bo,
                "m.room.message",
                json.createObjectNode().put("msgtype", "m.text").put("body", text),
                Instant.now());
    }

    private String inviting(String name) {
        String made = state.addRoom(Optional.of(name), List.of(bo), Instant.now());
        state.setMembership(bo, made, ines, "invite");
        return made;
    }

    /** The content of what was sent into the room. */
    private Optional<JsonNode> sent(String type, String body) {
        return state.said(room, ines).stream()
                .filter(event -> event.path("type").asString("").equals(type))
                .map(event -> event.path("content"))
                .filter(content -> content.path("body").asString("").equals(body))
                .findFirst();
    }

    /** The message that an event has become here, once it is in Intake. */
    private String arrived(String event) throws InterruptedException {
        String query = "select id from message where owner = ? and message_id like ?";
        until(() -> !jdbc.queryForList(query, UUID.class, me.accountId(), event + "%")
                .isEmpty());
        return jdbc.queryForList(query, UUID.class, me.accountId(), event + "%")
                .get(0)
                .toString();
    }

    private int count(String what) {
        String query =
                what.startsWith("(") ? "select count(*) from " + what + " as found" : "select count(*) from " + what;
        return Optional.ofNullable(jdbc.queryForObject(query, Integer.class, me.accountId()))
                .orElse(0);
    }

    private void until(BooleanSupplier condition) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(30).toNanos();
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime())
                    .as(() -> "waited too long; messages: " + count("message where owner = ?") + ", the outbox: "
                            + get(me, "/api/outbox"))
                    .isLessThan(end);
            Thread.sleep(50);
        }
    }
}
