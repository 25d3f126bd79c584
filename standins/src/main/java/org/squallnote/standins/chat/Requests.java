package org.squallnote.standins.chat;

import com.sun.net.httpserver.Headers;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.io.InputStream;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads requests, finds the endpoint, writes answers. */
final class Requests implements HttpHandler {

    private static final int LARGEST_BODY = 1024 * 1024;
    private static final long LONGEST_POLL_MILLIS = 60_000;

    private final HomeserverState state;
    private final SyncAnswer sync;
    private final Media media;
    private final PushRules pushRules;

    Requests(HomeserverState state) {
        this.state = state;
        this.sync = new SyncAnswer(state);
        this.media = new Media(state);
        this.pushRules = new PushRules(state);
    }

    /** A request in parts; the path without {@code /_matrix/client/}, split and decoded. */
    private record Request(
            String method, List<String> path, Map<String, String> query, Optional<String> token, byte[] bytes) {

        boolean is(String wantedMethod, String... pattern) {
            if (!method.equals(wantedMethod) || path.size() != pattern.length) {
                return false;
            }
            for (int i = 0; i < pattern.length; i++) {
                if (!pattern[i].equals("*") && !pattern[i].equals(path.get(i))) {
                    return false;
                }
            }
            return true;
        }

        Optional<String> parameter(String name) {
            return Optional.ofNullable(query.get(name));
        }

        ObjectNode body() throws MatrixError {
            try {
                JsonNode read = HomeserverState.JSON.readTree(bytes);
                if (read instanceof ObjectNode object) {
                    return object;
                }
                throw new MatrixError(400, "M_BAD_JSON", "The body must be an object");
            } catch (JacksonException e) {
                throw new MatrixError(400, "M_NOT_JSON", "The body is not JSON");
            }
        }
    }

    @Override
    public void handle(HttpExchange exchange) throws IOException {
        try (exchange) {
            allowAnyOrigin(exchange.getResponseHeaders());
            if (exchange.getRequestMethod().equals("OPTIONS")) {
                exchange.sendResponseHeaders(200, -1);
                return;
            }
            try {
                if (Media.concerns(exchange)) {
                    media.handle(exchange);
                    return;
                }
                write(exchange, 200, answer(read(exchange)));
            } catch (MatrixError e) {
                write(
                        exchange,
                        e.status(),
                        HomeserverState.JSON
                                .createObjectNode()
                                .put("errcode", e.code())
                                .put("error", String.valueOf(e.getMessage())));
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }

    private static void allowAnyOrigin(Headers headers) {
        headers.set("Access-Control-Allow-Origin", "*");
        headers.set("Access-Control-Allow-Methods", "GET, POST, PUT, DELETE, OPTIONS");
        headers.set("Access-Control-Allow-Headers", "X-Requested-With, Content-Type, Authorization");
    }

    static void write(HttpExchange exchange, int status, JsonNode answer) throws IOException {
        byte[] bytes = HomeserverState.JSON.writeValueAsBytes(answer);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(status, bytes.length);
        exchange.getResponseBody().write(bytes);
    }

    private static Request read(HttpExchange exchange) throws IOException, MatrixError {
        String raw = exchange.getRequestURI().getRawPath();
        String prefix = "/_matrix/client/";
        if (!raw.startsWith(prefix)) {
            throw new MatrixError(404, "M_UNRECOGNIZED", "Unknown endpoint");
        }
        List<String> path = new ArrayList<>();
        for (String part : raw.substring(prefix.length()).split("/")) {
            path.add(URLDecoder.decode(part.replace("+", "%2B"), StandardCharsets.UTF_8));
        }
        Map<String, String> query = new HashMap<>();
        String rawQuery =
                Optional.ofNullable(exchange.getRequestURI().getRawQuery()).orElse("");
        Arrays.stream(rawQuery.split("&")).filter(pair -> pair.contains("=")).forEach(pair -> {
            int equals = pair.indexOf('=');
            query.put(pair.substring(0, equals), URLDecoder.decode(pair.substring(equals + 1), StandardCharsets.UTF_8));
        });
        Optional<String> token = Optional.ofNullable(
                        exchange.getRequestHeaders().getFirst("Authorization"))
                .filter(value -> value.startsWith("Bearer "))
                .map(value -> value.substring("Bearer ".length()));
        try (InputStream in = exchange.getRequestBody()) {
            byte[] body = in.readNBytes(LARGEST_BODY + 1);
            if (body.length > LARGEST_BODY) {
                throw new MatrixError(413, "M_TOO_LARGE", "The body is too large");
            }
            return new Request(exchange.getRequestMethod(), path, query, token, body);
        }
    }

    private JsonNode answer(Request request) throws MatrixError, InterruptedException {
        if (request.is("GET", "versions")) {
            ObjectNode versions = HomeserverState.JSON.createObjectNode();
            versions.putArray("versions").add("v1.1").add("v1.7").add("v1.11");
            versions.putObject("unstable_features");
            return versions;
        }
        if (request.is("GET", "v3", "login")) {
            ObjectNode flows = HomeserverState.JSON.createObjectNode();
            flows.putArray("flows").addObject().put("type", "m.login.password");
            return flows;
        }
        if (request.is("POST", "v3", "login")) {
            return login(request.body());
        }
        if (request.token().isEmpty()) {
            throw new MatrixError(401, "M_MISSING_TOKEN", "An access token is needed");
        }
        HomeserverState.Session session = state.session(request.token().get())
                .orElseThrow(() -> new MatrixError(401, "M_UNKNOWN_TOKEN", "This access token is not known"));
        if (request.path().size() > 2 && request.path().get(1).equals("rooms")) {
            return room(session, request, request.path().get(2));
        }
        return signedIn(session, request);
    }

    private JsonNode login(ObjectNode body) throws MatrixError {
        if (!body.path("type").asString("").equals("m.login.password")) {
            throw new MatrixError(400, "M_UNKNOWN", "Only signing in with a password is offered");
        }
        String user =
                body.path("identifier").path("user").asString(body.path("user").asString(""));
        HomeserverState.Session session = state.login(
                        user,
                        body.path("password").asString(""),
                        body.path("device_id").asString(""))
                .orElseThrow(() -> new MatrixError(403, "M_FORBIDDEN", "User name or password is not right"));
        return HomeserverState.JSON
                .createObjectNode()
                .put("user_id", session.userId())
                .put("access_token", session.token())
                .put("device_id", session.deviceId());
    }

    private JsonNode signedIn(HomeserverState.Session session, Request request)
            throws MatrixError, InterruptedException {
        ObjectNode empty = HomeserverState.JSON.createObjectNode();
        if (request.is("GET", "v3", "sync")) {
            return sync(session, request);
        }
        if (request.is("GET", "v3", "account", "whoami")) {
            return empty.put("user_id", session.userId())
                    .put("device_id", session.deviceId())
                    .put("is_guest", false);
        }
        if (request.is("POST", "v3", "logout")) {
            state.logout(session.token());
            return empty;
        }
        if (request.is("POST", "v3", "createRoom")) {
            return empty.put("room_id", state.createRoom(session, request.body()));
        }
        if (request.is("POST", "v3", "join", "*")) {
            return join(session, request.path().get(2));
        }
        if (request.is("GET", "v3", "joined_rooms")) {
            var rooms = empty.putArray("joined_rooms");
            state.joinedRooms(session.userId()).forEach(rooms::add);
            return empty;
        }
        if (request.path().size() > 3 && request.path().get(1).equals("user")) {
            return user(session, request);
        }
        if (request.path().size() > 1 && request.path().get(1).equals("pushrules")) {
            boolean says = request.method().equals("PUT");
            return pushRules.answer(
                    request.method(),
                    request.path().subList(2, request.path().size()),
                    session.userId(),
                    says ? request.body() : empty);
        }
        return aboutTheServer(session, request);
    }

    /** What clients ask of a server before they ask anything of a room. */
    private JsonNode aboutTheServer(HomeserverState.Session session, Request request) throws MatrixError {
        ObjectNode answer = HomeserverState.JSON.createObjectNode();
        if (request.is("GET", "v3", "capabilities")) {
            ObjectNode capabilities = answer.putObject("capabilities");
            capabilities.putObject("m.change_password").put("enabled", false);
            capabilities
                    .putObject("m.room_versions")
                    .put("default", "11")
                    .putObject("available")
                    .put("11", "stable");
            return answer;
        }
        if (request.is("GET", "v3", "profile", "*")) {
            return answer.put("displayname", state.nameOf(request.path().get(2)));
        }
        if (request.is("GET", "v3", "devices", "*")) {
            return answer.put("device_id", session.deviceId());
        }
        if (request.is("GET", "v3", "voip", "turnServer")) {
            return answer; // There is none, which the specification allows.
        }
        throw unknown();
    }

    private JsonNode user(HomeserverState.Session session, Request request) throws MatrixError {
        if (!request.path().get(2).equals(session.userId())) {
            throw new MatrixError(403, "M_FORBIDDEN", "This belongs to another user");
        }
        if (request.is("POST", "v3", "user", "*", "filter")) {
            return HomeserverState.JSON
                    .createObjectNode()
                    .put("filter_id", state.addFilter(session.userId(), request.body()));
        }
        if (request.is("GET", "v3", "user", "*", "filter", "*")) {
            return state.filter(session.userId(), request.path().get(4))
                    .orElseThrow(() -> new MatrixError(404, "M_NOT_FOUND", "No such filter"));
        }
        if (request.is("GET", "v3", "user", "*", "account_data", "*")) {
            return Optional.ofNullable(state.accountDataOf(session.userId())
                            .get(request.path().get(4)))
                    .orElseThrow(() -> new MatrixError(404, "M_NOT_FOUND", "No such account data"));
        }
        if (request.is("PUT", "v3", "user", "*", "account_data", "*")) {
            state.putAccountData(session.userId(), request.path().get(4), request.body());
            return HomeserverState.JSON.createObjectNode();
        }
        throw unknown();
    }

    private JsonNode sync(HomeserverState.Session session, Request request) throws MatrixError, InterruptedException {
        JsonNode filter = HomeserverState.JSON.createObjectNode();
        String wanted = request.parameter("filter").orElse("");
        if (wanted.startsWith("{")) {
            filter = HomeserverState.JSON.readTree(wanted);
        } else if (!wanted.isEmpty()) {
            filter = state.filter(session.userId(), wanted)
                    .orElseThrow(() -> new MatrixError(404, "M_NOT_FOUND", "No such filter"));
        }
        Optional<Long> since = SyncAnswer.position(request.parameter("since"));
        if (since.isPresent()) {
            long timeout = Math.min(number(request.parameter("timeout"), 0), LONGEST_POLL_MILLIS);
            state.await(since.get(), timeout);
        }
        return sync.sync(session, since, filter);
    }

    private JsonNode room(HomeserverState.Session session, Request request, String roomId) throws MatrixError {
        if (request.is("POST", "v3", "rooms", "*", "join")) {
            return join(session, roomId);
        }
        if (request.is("POST", "v3", "rooms", "*", "leave")) {
            if (state.membership(session.userId(), roomId).equals("leave")) {
                throw new MatrixError(403, "M_FORBIDDEN", "You are not in this room");
            }
            state.setMembership(session.userId(), roomId, session.userId(), "leave");
            return HomeserverState.JSON.createObjectNode();
        }
        if (!state.isJoined(session.userId(), roomId)) {
            throw new MatrixError(403, "M_FORBIDDEN", "You are not in this room");
        }
        ObjectNode empty = HomeserverState.JSON.createObjectNode();
        if (request.is("GET", "v3", "rooms", "*", "messages")) {
            JsonNode filter =
                    HomeserverState.JSON.readTree(request.parameter("filter").orElse("{}"));
            return sync.messages(
                    session,
                    roomId,
                    SyncAnswer.position(request.parameter("from")),
                    !request.parameter("dir").orElse("b").equals("f"),
                    (int) number(request.parameter("limit"), 10),
                    filter);
        }
        if (request.is("PUT", "v3", "rooms", "*", "send", "*", "*")) {
            String id = state.send(
                    session, roomId, request.path().get(4), request.path().get(5), request.body());
            return empty.put("event_id", id);
        }
        if (request.is("PUT", "v3", "rooms", "*", "redact", "*", "*")) {
            String id = state.redact(
                    session, roomId, request.path().get(4), request.path().get(5), request.body());
            return empty.put("event_id", id);
        }
        if (request.is("POST", "v3", "rooms", "*", "read_markers")) {
            state.setReadMarker(
                    session.userId(),
                    roomId,
                    request.body().path("m.fully_read").asString(""));
            return empty;
        }
        if (request.is("POST", "v3", "rooms", "*", "receipt", "m.read", "*")) {
            state.setReadMarker(session.userId(), roomId, request.path().get(5));
            return empty;
        }
        if (request.is("PUT", "v3", "rooms", "*", "typing", "*")) {
            return empty; // Told to nobody.
        }
        if (request.is("POST", "v3", "rooms", "*", "invite")) {
            state.setMembership(
                    session.userId(), roomId, request.body().path("user_id").asString(""), "invite");
            return empty;
        }
        if (request.method().equals("PUT")
                && request.path().size() >= 5
                && request.path().get(3).equals("state")) {
            String key = request.path().size() > 5 ? request.path().get(5) : "";
            return empty.put(
                    "event_id", state.putState(session, roomId, request.path().get(4), key, request.body()));
        }
        return roomState(session, request, roomId);
    }

    private JsonNode join(HomeserverState.Session session, String roomId) throws MatrixError {
        String now = state.membership(session.userId(), roomId);
        if (now.equals("leave")) {
            throw new MatrixError(403, "M_FORBIDDEN", "You are not invited to this room");
        }
        if (now.equals("invite")) {
            state.setMembership(session.userId(), roomId, session.userId(), "join");
        }
        return HomeserverState.JSON.createObjectNode().put("room_id", roomId);
    }

    private JsonNode roomState(HomeserverState.Session session, Request request, String roomId) throws MatrixError {
        ObjectNode answer = HomeserverState.JSON.createObjectNode();
        List<RoomEvent> now = state.stateAt(roomId, state.position());
        if (request.is("GET", "v3", "rooms", "*", "joined_members")) {
            ObjectNode joined = answer.putObject("joined");
            now.stream()
                    .filter(event -> event.type().equals("m.room.member"))
                    .forEach(event -> joined.putObject(
                                    event.json().path("state_key").asString(""))
                            .put(
                                    "display_name",
                                    event.json()
                                            .path("content")
                                            .path("displayname")
                                            .asString("")));
            return answer;
        }
        if (request.is("GET", "v3", "rooms", "*", "members")) {
            var chunk = answer.putArray("chunk");
            now.stream()
                    .filter(event -> event.type().equals("m.room.member"))
                    .forEach(event -> chunk.add(sync.clientFormat(session, event)));
            return answer;
        }
        if (request.is("GET", "v3", "rooms", "*", "state")) {
            var all = HomeserverState.JSON.createArrayNode();
            now.forEach(event -> all.add(sync.clientFormat(session, event)));
            return all;
        }
        if (request.is("GET", "v3", "rooms", "*", "event", "*")) {
            return state.find(roomId, request.path().get(4))
                    .map(event -> sync.clientFormat(session, event))
                    .orElseThrow(() -> new MatrixError(404, "M_NOT_FOUND", "No such event"));
        }
        List<String> path = request.path();
        if (request.method().equals("GET") && path.size() >= 5 && path.get(3).equals("relations")) {
            var chunk = answer.putArray("chunk");
            sync.relations(roomId, path.get(4)).stream()
                    .filter(event -> path.size() < 6 || event.relationType().equals(path.get(5)))
                    .filter(event -> path.size() < 7 || event.type().equals(path.get(6)))
                    .forEach(event -> chunk.insert(0, sync.clientFormat(session, event)));
            return answer;
        }
        throw unknown();
    }

    private static MatrixError unknown() {
        return new MatrixError(404, "M_UNRECOGNIZED", "Unknown endpoint");
    }

    private static long number(Optional<String> text, long otherwise) throws MatrixError {
        try {
            return text.map(Long::parseLong).orElse(otherwise);
        } catch (NumberFormatException e) {
            throw new MatrixError(400, "M_INVALID_PARAM", "A number was expected");
        }
    }
}
