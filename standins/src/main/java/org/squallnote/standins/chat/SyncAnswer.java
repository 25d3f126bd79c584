package org.squallnote.standins.chat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Answers {@code /sync} and {@code /messages}. Tokens are {@code s} and the position behind which reading goes on. */
final class SyncAnswer {

    private static final int DEFAULT_LIMIT = 20;
    private static final int MOST = 200;

    private final HomeserverState state;

    SyncAnswer(HomeserverState state) {
        this.state = state;
    }

    ObjectNode sync(HomeserverState.Session session, Optional<Long> since, JsonNode filter) {
        long now = state.position();
        ObjectNode answer = HomeserverState.JSON.createObjectNode().put("next_batch", token(now));
        ObjectNode rooms = answer.putObject("rooms");
        ObjectNode joined = rooms.putObject("join");
        ObjectNode invited = rooms.putObject("invite");
        ObjectNode left = rooms.putObject("leave");
        state.memberships(session.userId()).forEach((roomId, member) -> {
            boolean fresh = since.isEmpty() || member.position() > since.get();
            switch (member.membership()) {
                case "join" -> {
                    // A room that was entered since then is told from its beginning.
                    ObjectNode room = room(session, roomId, fresh ? Optional.empty() : since, now, filter);
                    if (fresh || !room.path("timeline").path("events").isEmpty()) {
                        joined.set(roomId, room);
                    }
                }
                case "invite" -> {
                    if (fresh) {
                        invited.set(roomId, invitation(roomId, member, now));
                    }
                }
                default -> {
                    if (fresh && since.isPresent()) {
                        ObjectNode timeline = left.putObject(roomId).putObject("timeline");
                        timeline.putArray("events").add(clientFormat(session, member));
                    }
                }
            }
        });
        ObjectNode data = answer.putObject("account_data");
        var events = data.putArray("events");
        if (since.isEmpty() || state.accountDataChangedSince(session.userId(), since.get())) {
            state.accountDataOf(session.userId())
                    .forEach((type, content) ->
                            events.addObject().put("type", type).set("content", content));
        }
        return answer;
    }

    /** What somebody who is invited may know: who invites, and what the room is called. */
    private ObjectNode invitation(String roomId, RoomEvent member, long now) {
        ObjectNode room = HomeserverState.JSON.createObjectNode();
        var events = room.putObject("invite_state").putArray("events");
        String inviter = member.json().path("sender").asString("");
        state.stateAt(roomId, now).stream()
                .filter(event -> Set.of("m.room.create", "m.room.name", "m.room.join_rules")
                                .contains(event.type())
                        || event.json().path("state_key").asString("").equals(inviter)
                        || event.id().equals(member.id()))
                .forEach(event -> events.add(event.json().deepCopy().without("room_id")));
        return room;
    }

    private ObjectNode room(
            HomeserverState.Session session, String roomId, Optional<Long> since, long now, JsonNode filter) {
        int limit = limit(filter.path("room").path("timeline").path("limit").asInt(DEFAULT_LIMIT));
        List<RoomEvent> fresh = state.inRoom(roomId, since.orElse(0L), now).stream()
                .filter(event -> accepted(event, filter.path("room").path("timeline")))
                .toList();
        boolean limited = fresh.size() > limit;
        List<RoomEvent> timeline = limited ? fresh.subList(fresh.size() - limit, fresh.size()) : fresh;
        long before = timeline.isEmpty() ? now : timeline.get(0).position() - 1;
        ObjectNode room = HomeserverState.JSON.createObjectNode();
        ObjectNode out = room.putObject("timeline").put("limited", limited).put("prev_batch", token(before));
        var outEvents = out.putArray("events");
        timeline.forEach(event -> outEvents.add(clientFormat(session, event)));
        var stateEvents = room.putObject("state").putArray("events");
        Set<String> inTimeline = timeline.stream().map(RoomEvent::id).collect(Collectors.toSet());
        state.stateAt(roomId, before).stream()
                .filter(event -> since.isEmpty() || event.position() > since.get())
                .filter(event -> !inTimeline.contains(event.id()))
                .forEach(event -> stateEvents.add(clientFormat(session, event)));
        return room;
    }

    ObjectNode messages(
            HomeserverState.Session session,
            String roomId,
            Optional<Long> from,
            boolean backwards,
            int wanted,
            JsonNode filter) {
        int limit = limit(wanted);
        long start = from.orElse(backwards ? state.position() : 0L);
        List<RoomEvent> candidates = new ArrayList<>(
                backwards ? state.inRoom(roomId, 0, start) : state.inRoom(roomId, start, state.position()));
        if (backwards) {
            Collections.reverse(candidates);
        }
        List<RoomEvent> page = candidates.stream()
                .filter(event -> accepted(event, filter))
                .limit(limit)
                .toList();
        ObjectNode answer = HomeserverState.JSON.createObjectNode().put("start", token(start));
        var chunk = answer.putArray("chunk");
        page.forEach(event -> chunk.add(clientFormat(session, event)));
        if (page.size() == limit) {
            long last = page.get(page.size() - 1).position();
            answer.put("end", token(backwards ? last - 1 : last));
        }
        return answer;
    }

    /** The event as a client gets it: with its transaction for the device that sent it, and with bundled relations. */
    ObjectNode clientFormat(HomeserverState.Session session, RoomEvent event) {
        ObjectNode json = event.json().deepCopy();
        ObjectNode unsigned = json.withObject("/unsigned");
        if (event.type().equals("m.room.redaction")) {
            // Room version 11 has it in the content; clients are told in the older place as well.
            json.set("redacts", json.path("content").path("redacts"));
        }
        event.transaction()
                .filter(transaction -> transaction.startsWith(session.token() + " "))
                .ifPresent(transaction -> unsigned.put(
                        "transaction_id", transaction.substring(session.token().length() + 1)));
        List<RoomEvent> relations = relations(event.roomId(), event.id());
        List<RoomEvent> edits = ofType(relations, "m.replace").stream()
                .filter(edit -> edit.json().path("sender").equals(event.json().path("sender")))
                .toList();
        List<RoomEvent> answers = ofType(relations, "m.thread");
        if (!edits.isEmpty() || !answers.isEmpty()) {
            ObjectNode bundled = unsigned.putObject("m.relations");
            if (!edits.isEmpty()) {
                bundled.set("m.replace", edits.get(edits.size() - 1).json());
            }
            if (!answers.isEmpty()) {
                bundled.putObject("m.thread")
                        .put("count", answers.size())
                        .put(
                                "current_user_participated",
                                answers.stream()
                                        .anyMatch(a -> a.json()
                                                .path("sender")
                                                .asString("")
                                                .equals(session.userId())))
                        .set("latest_event", answers.get(answers.size() - 1).json());
            }
        }
        return json;
    }

    List<RoomEvent> relations(String roomId, String eventId) {
        return state.inRoom(roomId, 0, state.position()).stream()
                .filter(event -> event.relatesTo().equals(eventId))
                .toList();
    }

    private static List<RoomEvent> ofType(List<RoomEvent> relations, String type) {
        return relations.stream()
                .filter(event -> event.relationType().equals(type))
                .toList();
    }

    private static boolean accepted(RoomEvent event, JsonNode filter) {
        boolean wanted = !filter.has("types") || contains(filter.path("types"), event.type());
        return wanted && !contains(filter.path("not_types"), event.type());
    }

    private static boolean contains(JsonNode patterns, String type) {
        for (JsonNode pattern : patterns) {
            String text = pattern.asString("");
            boolean matches =
                    text.endsWith("*") ? type.startsWith(text.substring(0, text.length() - 1)) : text.equals(type);
            if (matches) {
                return true;
            }
        }
        return false;
    }

    private static int limit(int wanted) {
        return Math.max(1, Math.min(wanted, MOST));
    }

    static String token(long position) {
        return "s" + position;
    }

    static Optional<Long> position(Optional<String> token) throws MatrixError {
        if (token.isEmpty()) {
            return Optional.empty();
        }
        if (!token.get().matches("s[0-9]{1,12}")) {
            throw new MatrixError(400, "M_INVALID_PARAM", "Not a token of this server");
        }
        return Optional.of(Long.parseLong(token.get().substring(1)));
    }
}
