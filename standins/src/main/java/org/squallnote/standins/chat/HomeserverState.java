package org.squallnote.standins.chat;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Users, rooms and events, in memory. All methods may be called from any thread. */
public final class HomeserverState {

    static final JsonMapper JSON = JsonMapper.builder().build();

    record User(String id, String name, String password) {}

    /** A signed-in device. */
    record Session(String token, String userId, String deviceId) {}

    private final String serverName;
    private final Clock clock;
    private final Map<String, User> users = new HashMap<>();
    private final Map<String, Session> sessions = new HashMap<>();
    private final List<RoomEvent> events = new ArrayList<>();
    private final Map<String, String> eventOfTransaction = new HashMap<>();
    private final Map<String, Map<String, ObjectNode>> accountData = new HashMap<>();
    private final Map<String, Long> accountDataAt = new HashMap<>();
    private final Map<String, ObjectNode> filters = new HashMap<>();
    private final Map<String, String> readMarkers = new HashMap<>();
    private final Map<String, MediaFile> media = new HashMap<>();
    private final List<Consumer<Sent>> listeners = new CopyOnWriteArrayList<>();

    HomeserverState(String serverName, Clock clock) {
        this.serverName = serverName;
        this.clock = clock;
    }

    /** A message that a client has sent. */
    public record Sent(String roomId, String sender, String eventId, String type, String body) {}

    /** Hears of every message event that a client sends. */
    public void onSent(Consumer<Sent> listener) {
        listeners.add(listener);
    }

    /** Adds a user; answers the full id. */
    public synchronized String addUser(String localPart, String name, String password) {
        String id = "@" + localPart + ":" + serverName;
        users.put(id, new User(id, name, password));
        return id;
    }

    /** Makes a room with its members; answers its id. A room without a name is a direct chat. */
    public synchronized String addRoom(Optional<String> name, List<String> members, Instant at) {
        String roomId = "!" + UUID.randomUUID().toString().substring(0, 13) + ":" + serverName;
        String creator = members.get(0);
        addState(roomId, creator, "m.room.create", "", JSON.createObjectNode().put("room_version", "11"), at);
        for (String member : members) {
            addState(
                    roomId,
                    member,
                    "m.room.member",
                    member,
                    JSON.createObjectNode().put("membership", "join").put("displayname", nameOf(member)),
                    at);
        }
        name.ifPresent(text -> addState(
                roomId, creator, "m.room.name", "", JSON.createObjectNode().put("name", text), at));
        if (name.isEmpty()) {
            for (String member : members) {
                members.stream()
                        .filter(other -> !other.equals(member))
                        .forEach(other -> markDirect(member, other, roomId));
            }
        }
        return roomId;
    }

    /** Makes a room as a client asks for it: its name, who is invited to it, whether it is direct; answers its id. */
    synchronized String createRoom(Session session, JsonNode wanted) {
        Instant now = clock.instant();
        String roomId = addRoom(Optional.of(wanted.path("name").asString("")), List.of(session.userId()), now);
        wanted.path("initial_state")
                .forEach(state -> addState(
                        roomId,
                        session.userId(),
                        state.path("type").asString(""),
                        state.path("state_key").asString(""),
                        state.path("content"),
                        now));
        wanted.path("invite")
                .forEach(invited -> setMembership(session.userId(), roomId, invited.asString(""), "invite"));
        return roomId;
    }

    /** Puts down what somebody is in a room from now on: {@code invite}, {@code join} or {@code leave}. */
    public synchronized void setMembership(String sender, String roomId, String member, String membership) {
        addState(
                roomId,
                sender,
                "m.room.member",
                member,
                JSON.createObjectNode().put("membership", membership).put("displayname", nameOf(member)),
                clock.instant());
    }

    /** Sets a state event; answers its id. */
    synchronized String putState(Session session, String roomId, String type, String stateKey, JsonNode content) {
        addState(roomId, session.userId(), type, stateKey, content, clock.instant());
        return events.get(events.size() - 1).id();
    }

    /** The last event that says what somebody is in each room that names them. */
    synchronized Map<String, RoomEvent> memberships(String userId) {
        Map<String, RoomEvent> last = new LinkedHashMap<>();
        for (RoomEvent event : events) {
            if (event.type().equals("m.room.member")
                    && event.json().path("state_key").asString("").equals(userId)) {
                last.put(event.roomId(), event);
            }
        }
        return last;
    }

    /** What somebody is in a room, {@code leave} where nothing is known. */
    synchronized String membership(String userId, String roomId) {
        return Optional.ofNullable(memberships(userId).get(roomId))
                .map(RoomEvent::membership)
                .orElse("leave");
    }

    private void markDirect(String user, String other, String roomId) {
        ObjectNode direct = Optional.ofNullable(accountData(user).get("m.direct"))
                .map(ObjectNode::deepCopy)
                .orElseGet(JSON::createObjectNode);
        direct.withArray(other).add(roomId);
        putAccountData(user, "m.direct", direct);
    }

    private void addState(String roomId, String sender, String type, String stateKey, JsonNode content, Instant at) {
        ObjectNode event = event(roomId, sender, type, content, at);
        event.put("state_key", stateKey);
        append(roomId, event, Optional.empty());
    }

    /** Adds an event as if a client of the sender had sent it at that moment; answers its id. */
    public synchronized String addEvent(String roomId, String sender, String type, JsonNode content, Instant at) {
        ObjectNode event = event(roomId, sender, type, content, at);
        append(roomId, event, Optional.empty());
        return event.path("event_id").asString("");
    }

    private ObjectNode event(String roomId, String sender, String type, JsonNode content, Instant at) {
        ObjectNode event = JSON.createObjectNode()
                .put("event_id", "$" + UUID.randomUUID().toString().replace("-", ""))
                .put("type", type)
                .put("sender", sender)
                .put("room_id", roomId)
                .put("origin_server_ts", at.toEpochMilli());
        event.set("content", content);
        return event;
    }

    private void append(String roomId, ObjectNode event, Optional<String> transaction) {
        events.add(new RoomEvent(events.size() + 1L, roomId, event, transaction));
        notifyAll();
    }

    /** What a client sends; the same transaction of the same device again is the same event. */
    synchronized String send(Session session, String roomId, String type, String transactionId, JsonNode content) {
        String transaction = session.userId() + " " + session.deviceId() + " " + roomId + " " + transactionId;
        String known = eventOfTransaction.get(transaction);
        if (known != null) {
            return known;
        }
        ObjectNode event = event(roomId, session.userId(), type, content, clock.instant());
        String id = event.path("event_id").asString("");
        eventOfTransaction.put(transaction, id);
        append(roomId, event, Optional.of(session.token() + " " + transactionId));
        Sent sent = new Sent(
                roomId, session.userId(), id, type, content.path("body").asString(""));
        listeners.forEach(listener -> listener.accept(sent));
        return id;
    }

    /** Takes an event back: its content goes, the event stays. */
    synchronized String redact(Session session, String roomId, String target, String transactionId, JsonNode body) {
        ObjectNode content = JSON.createObjectNode().put("redacts", target);
        if (body.has("reason")) {
            content.set("reason", body.path("reason"));
        }
        String id = send(session, roomId, "m.room.redaction", transactionId, content);
        find(roomId, target).ifPresent(event -> {
            event.json().set("content", JSON.createObjectNode());
            find(roomId, id)
                    .ifPresent(redaction -> event.json()
                            .putObject("unsigned")
                            .set("redacted_because", redaction.json().deepCopy()));
        });
        return id;
    }

    synchronized Optional<Session> login(String user, String password, String wantedDevice) {
        String id = user.startsWith("@") ? user : "@" + user + ":" + serverName;
        User found = users.get(id);
        if (found == null || !found.password().equals(password)) {
            return Optional.empty();
        }
        String device = wantedDevice.isEmpty()
                ? UUID.randomUUID().toString().substring(0, 8).toUpperCase(Locale.ROOT)
                : wantedDevice;
        sessions.values()
                .removeIf(session ->
                        session.userId().equals(id) && session.deviceId().equals(device));
        Session session = new Session("syt_" + UUID.randomUUID(), id, device);
        sessions.put(session.token(), session);
        return Optional.of(session);
    }

    synchronized Optional<Session> session(String token) {
        return Optional.ofNullable(sessions.get(token));
    }

    synchronized void logout(String token) {
        sessions.remove(token);
    }

    synchronized String nameOf(String userId) {
        return Optional.ofNullable(users.get(userId)).map(User::name).orElse(userId);
    }

    synchronized long position() {
        return events.size();
    }

    /** Waits until something happened after the position, or the time is over. */
    synchronized void await(long position, long millis) throws InterruptedException {
        long until = System.nanoTime() + millis * 1_000_000;
        while (events.size() <= position) {
            long left = (until - System.nanoTime()) / 1_000_000;
            if (left <= 0) {
                return;
            }
            wait(left);
        }
    }

    synchronized List<String> joinedRooms(String userId) {
        return memberships(userId).entrySet().stream()
                .filter(each -> each.getValue().membership().equals("join"))
                .map(Map.Entry::getKey)
                .toList();
    }

    synchronized boolean isJoined(String userId, String roomId) {
        return joinedRooms(userId).contains(roomId);
    }

    /** The events of a room with positions in the half-open range. */
    synchronized List<RoomEvent> inRoom(String roomId, long afterExclusive, long toInclusive) {
        return events.stream()
                .filter(event -> event.roomId().equals(roomId)
                        && event.position() > afterExclusive
                        && event.position() <= toInclusive)
                .toList();
    }

    /** The state of a room as of a position: the last event of each type and key. */
    synchronized List<RoomEvent> stateAt(String roomId, long position) {
        Map<String, RoomEvent> state = new LinkedHashMap<>();
        for (RoomEvent event : inRoom(roomId, 0, position)) {
            if (event.isState()) {
                state.put(event.type() + "\n" + event.json().path("state_key").asString(""), event);
            }
        }
        return List.copyOf(state.values());
    }

    synchronized Optional<RoomEvent> find(String roomId, String eventId) {
        return events.stream()
                .filter(event -> event.roomId().equals(roomId) && event.id().equals(eventId))
                .findFirst();
    }

    /** What somebody has sent into a room, in order, as clients get it. */
    public synchronized List<JsonNode> said(String roomId, String userId) {
        return events.stream()
                .filter(event -> event.roomId().equals(roomId)
                        && event.json().path("sender").asString("").equals(userId))
                .map(event -> (JsonNode) event.json().deepCopy())
                .toList();
    }

    private Map<String, ObjectNode> accountData(String userId) {
        return accountData.computeIfAbsent(userId, id -> new LinkedHashMap<>());
    }

    synchronized void putAccountData(String userId, String type, ObjectNode content) {
        accountData(userId).put(type, content);
        // In no room, but in its place in the order: whoever waits for news is woken, once.
        append("", JSON.createObjectNode(), Optional.empty());
        accountDataAt.put(userId, (long) events.size());
    }

    synchronized Map<String, ObjectNode> accountDataOf(String userId) {
        return new LinkedHashMap<>(accountData(userId));
    }

    synchronized boolean accountDataChangedSince(String userId, long position) {
        return accountDataAt.getOrDefault(userId, 0L) > position;
    }

    synchronized String addFilter(String userId, ObjectNode filter) {
        String id = String.valueOf(filters.size() + 1);
        filters.put(userId + " " + id, filter);
        return id;
    }

    synchronized Optional<ObjectNode> filter(String userId, String id) {
        return Optional.ofNullable(filters.get(userId + " " + id));
    }

    synchronized void setReadMarker(String userId, String roomId, String eventId) {
        readMarkers.put(userId + " " + roomId, eventId);
    }

    /** A file that was uploaded. */
    record MediaFile(String type, byte[] bytes) {}

    /** Keeps a file; answers its address. */
    public synchronized String addMedia(String type, byte[] bytes) {
        String id = UUID.randomUUID().toString().replace("-", "");
        media.put(id, new MediaFile(type, bytes));
        return "mxc://" + serverName + "/" + id;
    }

    synchronized Optional<MediaFile> media(String id) {
        return Optional.ofNullable(media.get(id));
    }

    /** The event up to which a user has read a room. */
    public synchronized Optional<String> readMarker(String userId, String roomId) {
        return Optional.ofNullable(readMarkers.get(userId + " " + roomId));
    }
}
