package org.squallnote.standins.chat;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What any client of the protocol may rely on. */
class HomeserverTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private final HttpClient http = HttpClient.newHttpClient();
    private Homeserver server;
    private String ines;
    private String bo;
    private String room;
    private String token = "";

    private record Answer(int status, JsonNode body) {}

    @BeforeEach
    void open() throws Exception {
        server = Homeserver.start(0, "merrowquay.example", Clock.systemUTC());
        ines = server.state().addUser("ines", "Ines", "secret");
        bo = server.state().addUser("bo", "Bo", "secret");
        room = server.state().addRoom(Optional.of("Crew"), List.of(ines, bo), Instant.now());
        token = call("POST", "/v3/login", login("ines", "secret"))
                .body()
                .path("access_token")
                .asString("");
    }

    @AfterEach
    void close() {
        server.close();
    }

    private static String login(String user, String password) {
        return "{\"type\":\"m.login.password\",\"identifier\":{\"type\":\"m.id.user\",\"user\":\"" + user
                + "\"},\"password\":\"" + password + "\"}";
    }

    @Test
    void errorsAreTheStandardOnes() throws Exception {
        assertError(call("POST", "/v3/login", login("ines", "wrong")), 403, "M_FORBIDDEN");
        assertError(call("POST", "/v3/login", "no json"), 400, "M_NOT_JSON");
        assertError(call("GET", "/v3/nowhere", ""), 404, "M_UNRECOGNIZED");
        assertError(call("GET", "/v3/rooms/!other:x/messages?dir=b", ""), 403, "M_FORBIDDEN");
        assertError(call("GET", "/v3/sync?since=rubbish", ""), 400, "M_INVALID_PARAM");
        assertError(call("GET", "/v3/user/" + encode(bo) + "/account_data/m.direct", ""), 403, "M_FORBIDDEN");
        token = "unknown";
        assertError(call("GET", "/v3/account/whoami", ""), 401, "M_UNKNOWN_TOKEN");
        token = "";
        assertError(call("GET", "/v3/account/whoami", ""), 401, "M_MISSING_TOKEN");
        assertThat(call("GET", "/versions", "").body().path("versions").size()).isPositive();
    }

    @Test
    void syncGivesStateTimelineAndTokens() throws Exception {
        for (int i = 0; i < 30; i++) {
            say("line " + i);
        }
        JsonNode first = call("GET", "/v3/sync?filter=" + encode("{\"room\":{\"timeline\":{\"limit\":10}}}"), "")
                .body();
        JsonNode timeline = first.path("rooms").path("join").path(room).path("timeline");
        assertThat(timeline.path("events").size()).isEqualTo(10);
        assertThat(timeline.path("limited").asBoolean(false)).isTrue();
        assertThat(first.path("rooms")
                        .path("join")
                        .path(room)
                        .path("state")
                        .path("events")
                        .toString())
                .contains("\"Crew\"", "displayname");
        String since = first.path("next_batch").asString("");
        assertThat(call("GET", "/v3/sync?since=" + since, "")
                        .body()
                        .path("rooms")
                        .path("join")
                        .isEmpty())
                .isTrue();
        say("fresh");
        assertThat(call("GET", "/v3/sync?timeout=5000&since=" + since, "")
                        .body()
                        .toString())
                .contains("fresh")
                .doesNotContain("line 29");

        StringBuilder read = new StringBuilder();
        String from = timeline.path("prev_batch").asString("");
        for (int page = 0; !from.isEmpty() && page < 9; page++) {
            JsonNode answer = call("GET", rooms("/messages?dir=b&limit=7&from=" + from), "")
                    .body();
            answer.path("chunk")
                    .forEach(event -> read.append(
                                    event.path("content").path("body").asString(""))
                            .append('\n'));
            from = answer.path("end").asString("");
        }
        assertThat(read.toString().lines().filter(line -> line.startsWith("line")))
                .hasSize(20)
                .startsWith("line 19")
                .endsWith("line 0");
    }

    @Test
    void sendingIsIdempotentAndEchoesTheTransaction() throws Exception {
        String path = rooms("/send/m.room.message/t1");
        String body = "{\"msgtype\":\"m.text\",\"body\":\"once\"}";
        String id = call("PUT", path, body).body().path("event_id").asString("");
        assertThat(call("PUT", path, body).body().path("event_id").asString("")).isEqualTo(id);
        JsonNode event = call("GET", rooms("/event/" + encode(id)), "").body();
        assertThat(event.path("unsigned").path("transaction_id").asString("")).isEqualTo("t1");
        assertThat(event.path("sender").asString("")).isEqualTo(ines);
    }

    @Test
    void relationsRedactionsAndMarkersWork() throws Exception {
        String id = say("Who has the key?");
        call(
                "PUT",
                rooms("/send/m.reaction/r1"),
                "{\"m.relates_to\":{\"rel_type\":\"m.annotation\",\"event_id\":\"" + id + "\",\"key\":\"+\"}}");
        String answer = call(
                        "PUT",
                        rooms("/send/m.room.message/m1"),
                        "{\"msgtype\":\"m.text\",\"body\":\"Me\",\"m.relates_to\":{\"rel_type\":\"m.thread\",\"event_id\":\""
                                + id + "\"}}")
                .body()
                .path("event_id")
                .asString("");
        JsonNode relations = call("GET", "/v1/rooms/" + encode(room) + "/relations/" + encode(id) + "/m.annotation", "")
                .body();
        assertThat(relations.path("chunk").size()).isEqualTo(1);
        JsonNode bundled = call("GET", rooms("/event/" + encode(id)), "")
                .body()
                .path("unsigned")
                .path("m.relations");
        assertThat(bundled.path("m.thread").path("count").asInt(0)).isEqualTo(1);

        call("PUT", rooms("/redact/" + encode(answer) + "/x1"), "{\"reason\":\"mistake\"}");
        assertThat(call("GET", rooms("/event/" + encode(answer)), "")
                        .body()
                        .path("content")
                        .isEmpty())
                .isTrue();
        call("POST", rooms("/read_markers"), "{\"m.fully_read\":\"" + id + "\"}");
        assertThat(server.state().readMarker(ines, room)).contains(id);
        assertThat(call("GET", rooms("/joined_members"), "")
                        .body()
                        .path("joined")
                        .size())
                .isEqualTo(2);
    }

    @Test
    void directRoomsAndFiltersAreKeptForTheUser() throws Exception {
        String direct = server.state().addRoom(Optional.empty(), List.of(ines, bo), Instant.now());
        assertThat(call("GET", "/v3/user/" + encode(ines) + "/account_data/m.direct", "")
                        .body()
                        .path(bo)
                        .toString())
                .contains(direct);
        String filter = call(
                        "POST",
                        "/v3/user/" + encode(ines) + "/filter",
                        "{\"room\":{\"timeline\":{\"types\":[\"m.room.message\"]}}}")
                .body()
                .path("filter_id")
                .asString("");
        say("only this");
        JsonNode events = call("GET", "/v3/sync?filter=" + filter, "")
                .body()
                .path("rooms")
                .path("join")
                .path(room)
                .path("timeline")
                .path("events");
        assertThat(events.size()).isEqualTo(1);
    }

    private String say(String text) {
        return server.state()
                .addEvent(
                        room,
                        bo,
                        "m.room.message",
                        JSON.createObjectNode().put("msgtype", "m.text").put("body", text),
                        Instant.now());
    }

    private String rooms(String rest) {
        return "/v3/rooms/" + encode(room) + rest;
    }

    private static void assertError(Answer answer, int status, String code) {
        assertThat(answer.status()).as(code).isEqualTo(status);
        assertThat(answer.body().path("errcode").asString("")).isEqualTo(code);
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private Answer call(String method, String path, String body) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(server.address() + "/_matrix/client" + path))
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        if (!token.isEmpty()) {
            request.header("Authorization", "Bearer " + token);
        }
        HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        return new Answer(response.statusCode(), JSON.readTree(response.body()));
    }
}
