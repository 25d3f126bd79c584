package org.squallnote.sources.chat;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.squallnote.sources.PatientStream;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Reason;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The requests of the Matrix client-server API (v1.11) that reading and answering need. */
public final class ChatClient {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** No more of a file is read, in bytes. */
    public static final long LARGEST_FILE = 100L * 1024 * 1024;

    /** An answer larger than this is refused, in bytes. */
    private static final int LARGEST_ANSWER = 64 * 1024 * 1024;

    /** A server that has begun to answer may be silent for so long. */
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    private static final Duration PLAIN_TIMEOUT = Duration.ofSeconds(30);

    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(15))
            .followRedirects(HttpClient.Redirect.NEVER)
            .version(HttpClient.Version.HTTP_1_1)
            .build();
    private final String base;
    private final Reach reach;
    private volatile String token = "";

    /**
     * A client of a homeserver.
     *
     * @throws IllegalArgumentException when the address is not an http address, or sends secrets unencrypted to
     *     another machine
     */
    public ChatClient(String homeserver) {
        this(homeserver, Reach.ANYWHERE);
    }

    /** The same, of somebody who may not have every machine connected to. */
    public ChatClient(String homeserver, Reach reach) {
        this.base = HomeserverAddress.checked(homeserver);
        this.reach = reach;
    }

    /** Uses this access token from now on. */
    public void useToken(String accessToken) {
        token = accessToken;
    }

    /** The versions of the protocol that the server speaks. */
    public JsonNode versions() throws ChatProblem {
        return get("/_matrix/client/versions", Map.of(), PLAIN_TIMEOUT);
    }

    /** Who a signed-in client is. */
    public record SignedIn(String userId, String token, String deviceId) {}

    /** Signs in with a password and uses the token it gets. */
    public SignedIn login(String user, String password, String deviceId) throws ChatProblem {
        JsonNode answer = send(
                "POST",
                "/_matrix/client/v3/login",
                Map.of(),
                JSON.createObjectNode()
                        .put("type", "m.login.password")
                        .put("password", password)
                        .put("device_id", deviceId)
                        .put("initial_device_display_name", "Squallnote")
                        .set(
                                "identifier",
                                JSON.createObjectNode().put("type", "m.id.user").put("user", user)),
                PLAIN_TIMEOUT);
        token = answer.path("access_token").asString("");
        return new SignedIn(
                answer.path("user_id").asString(""),
                token,
                answer.path("device_id").asString(deviceId));
    }

    /** The user and device that the token belongs to. */
    public SignedIn whoami() throws ChatProblem {
        JsonNode answer = get("/_matrix/client/v3/account/whoami", Map.of(), PLAIN_TIMEOUT);
        return new SignedIn(
                answer.path("user_id").asString(""),
                token,
                answer.path("device_id").asString(""));
    }

    /** What is new since the token; waits up to the timeout when nothing is. */
    public JsonNode sync(Optional<String> since, String filter, Duration timeout) throws ChatProblem {
        Map<String, String> query = new LinkedHashMap<>();
        query.put("filter", filter);
        query.put("timeout", String.valueOf(timeout.toMillis()));
        since.ifPresent(value -> query.put("since", value));
        return get("/_matrix/client/v3/sync", query, timeout.plus(PLAIN_TIMEOUT));
    }

    /** A page of a room's past, newest first, from the token backwards. */
    public JsonNode messagesBefore(String roomId, String from, int limit) throws ChatProblem {
        return get(
                inRoom(roomId) + "/messages",
                Map.of("dir", "b", "from", from, "limit", String.valueOf(limit)),
                PLAIN_TIMEOUT);
    }

    /**
     * Sends a message event. Sent twice with the same transaction id, it is one event.
     *
     * @return the event id
     */
    public String sendMessage(String roomId, String transactionId, JsonNode content) throws ChatProblem {
        return sendEvent(roomId, "m.room.message", transactionId, content);
    }

    /**
     * Reacts to an event. Sent twice with the same transaction id, it is one reaction.
     *
     * @param sign what is shown, mostly an emoji
     * @return the event id of the reaction
     */
    public String react(String roomId, String transactionId, String target, String sign) throws ChatProblem {
        ObjectNode content = JSON.createObjectNode();
        content.putObject("m.relates_to")
                .put("rel_type", "m.annotation")
                .put("event_id", target)
                .put("key", sign);
        return sendEvent(roomId, "m.reaction", transactionId, content);
    }

    private String sendEvent(String roomId, String type, String transactionId, JsonNode content) throws ChatProblem {
        return put(inRoom(roomId) + "/send/" + type + "/" + encode(transactionId), content)
                .path("event_id")
                .asString("");
    }

    /** Takes an event of mine back. */
    public void redact(String roomId, String transactionId, String eventId) throws ChatProblem {
        put(inRoom(roomId) + "/redact/" + encode(eventId) + "/" + encode(transactionId), JSON.createObjectNode());
    }

    /** Moves my marker of what is read up to an event; others see it as they see it of any client. */
    public void readUpTo(String roomId, String eventId) throws ChatProblem {
        post(
                inRoom(roomId) + "/read_markers",
                JSON.createObjectNode().put("m.fully_read", eventId).put("m.read", eventId));
    }

    /** Enters a room that I am invited to. */
    public void join(String roomId) throws ChatProblem {
        post(inRoom(roomId) + "/join", JSON.createObjectNode());
    }

    /** Leaves a room, or declines the invitation to it. */
    public void leave(String roomId) throws ChatProblem {
        post(inRoom(roomId) + "/leave", JSON.createObjectNode());
    }

    /** Puts a file onto the server; answers its address ({@code mxc://}). */
    public String upload(String name, String type, byte[] bytes) throws ChatProblem {
        HttpRequest.Builder request = request("/_matrix/media/v3/upload?filename=" + encode(name), PLAIN_TIMEOUT)
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofByteArray(bytes));
        return exchange(request, ChatClient::read).path("content_uri").asString("");
    }

    /**
     * A file of the server's, through its authenticated media (Matrix 1.11), or the older way where that is unknown. It
     * is read as it comes and never more than {@link #LARGEST_FILE} bytes of it; whoever asks closes it.
     */
    public InputStream media(MediaAddress address) throws ChatProblem {
        String file = encode(address.server()) + "/" + encode(address.id());
        return exchange(request("/_matrix/client/v1/media/download/" + file, PLAIN_TIMEOUT), answer -> {
            if (answer.statusCode() == 404 || answer.statusCode() == 400) {
                answer.body().close();
                return exchange(request("/_matrix/media/v3/download/" + file, PLAIN_TIMEOUT), ChatClient::fileOf);
            }
            return fileOf(answer);
        });
    }

    private static InputStream fileOf(HttpResponse<InputStream> answer) throws IOException, ChatProblem {
        if (answer.statusCode() == 200) {
            return new CappedStream(new PatientStream(answer.body(), PATIENCE), LARGEST_FILE);
        }
        read(answer);
        throw new ChatProblem(
                ChatProblem.Kind.REFUSED,
                "The homeserver did not hand the file out (status " + answer.statusCode() + ").",
                Optional.empty());
    }

    private JsonNode get(String path, Map<String, String> query, Duration timeout) throws ChatProblem {
        return send("GET", path, query, null, timeout);
    }

    private JsonNode put(String path, JsonNode body) throws ChatProblem {
        return send("PUT", path, Map.of(), body, PLAIN_TIMEOUT);
    }

    private JsonNode post(String path, JsonNode body) throws ChatProblem {
        return send("POST", path, Map.of(), body, PLAIN_TIMEOUT);
    }

    private static String inRoom(String roomId) {
        return "/_matrix/client/v3/rooms/" + encode(roomId);
    }

    private JsonNode send(
            String method, String path, Map<String, String> query, @Nullable JsonNode body, Duration timeout)
            throws ChatProblem {
        StringBuilder address = new StringBuilder(path);
        char separator = '?';
        for (Map.Entry<String, String> parameter : query.entrySet()) {
            address.append(separator).append(parameter.getKey()).append('=').append(encode(parameter.getValue()));
            separator = '&';
        }
        HttpRequest.Builder request = request(address.toString(), timeout);
        if (body != null) {
            request.header("Content-Type", "application/json");
        }
        request.method(
                method,
                body == null
                        ? HttpRequest.BodyPublishers.noBody()
                        : HttpRequest.BodyPublishers.ofString(body.toString()));
        return exchange(request, ChatClient::read);
    }

    /** A request that says who asks. */
    private HttpRequest.Builder request(String path, Duration timeout) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(base + path)).timeout(timeout);
        return token.isEmpty() ? request : request.header("Authorization", "Bearer " + token);
    }

    /** What is made of an answer. */
    private interface Use<T> {
        T of(HttpResponse<InputStream> answer) throws IOException, ChatProblem;
    }

    private <T> T exchange(HttpRequest.Builder request, Use<T> use) throws ChatProblem {
        try {
            reach.check(Objects.requireNonNullElse(URI.create(base).getHost(), ""));
            return use.of(http.send(request.build(), HttpResponse.BodyHandlers.ofInputStream()));
        } catch (Reach.OutOfReachException e) {
            throw new ChatProblem(ChatProblem.Kind.UNREACHABLE, String.valueOf(e.getMessage()), Optional.empty());
        } catch (IOException e) {
            throw new ChatProblem(
                    ChatProblem.Kind.UNREACHABLE,
                    "The homeserver does not answer: " + Reason.of(e) + ". Check the address and the network.",
                    Optional.empty());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new ChatProblem(ChatProblem.Kind.UNREACHABLE, "Interrupted.", Optional.empty());
        }
    }

    private static JsonNode read(HttpResponse<InputStream> answer) throws IOException, ChatProblem {
        try (InputStream in = new PatientStream(answer.body(), PATIENCE)) {
            return read(answer.statusCode(), in.readNBytes(LARGEST_ANSWER + 1));
        }
    }

    private static JsonNode read(int status, byte[] bytes) throws ChatProblem {
        if (bytes.length > LARGEST_ANSWER) {
            throw new ChatProblem(
                    ChatProblem.Kind.UNREACHABLE, "The homeserver's answer is too large to read.", Optional.empty());
        }
        JsonNode answer;
        try {
            answer = JSON.readTree(bytes);
        } catch (JacksonException e) {
            throw new ChatProblem(
                    ChatProblem.Kind.UNREACHABLE,
                    "This address answers, but not as a homeserver does (status " + status + ").",
                    Optional.empty());
        }
        if (status / 100 == 2) {
            return answer;
        }
        String code = answer.path("errcode").asString("");
        String text = answer.path("error").asString("status " + status);
        if (status == 429) {
            long millis = answer.path("retry_after_ms").asLong(5_000);
            throw new ChatProblem(
                    ChatProblem.Kind.TOO_FAST,
                    "The homeserver asks to wait.",
                    Optional.of(Duration.ofMillis(Math.min(millis, 300_000))));
        }
        if (code.equals("M_UNKNOWN_TOKEN") || code.equals("M_MISSING_TOKEN")) {
            throw new ChatProblem(
                    ChatProblem.Kind.SIGNED_OUT, "The homeserver has signed this device out.", Optional.empty());
        }
        ChatProblem.Kind kind = status >= 500 ? ChatProblem.Kind.UNREACHABLE : ChatProblem.Kind.REFUSED;
        throw new ChatProblem(kind, "The homeserver answered: " + text, Optional.empty());
    }

    private static String encode(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
    }
}
