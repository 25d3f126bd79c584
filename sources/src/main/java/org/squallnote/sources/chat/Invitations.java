package org.squallnote.sources.chat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Reads which rooms I am invited to, and which ones I am no longer in, from an answer of {@code /sync}. */
final class Invitations {

    /** Longer state is somebody's joke; it is not kept, in characters. */
    private static final int LONGEST_STATE = 65_536;

    private Invitations() {}

    /**
     * What has come and gone.
     *
     * @param rooms the {@code rooms} of the answer
     * @param me my user id, lower case
     * @param now when it came; the stripped state of an invitation need not say when it was written
     */
    static List<ChatEvent> in(JsonNode rooms, String me, Instant now) {
        List<ChatEvent> events = new ArrayList<>();
        for (String roomId : rooms.path("invite").propertyNames()) {
            if (roomId.length() <= 255) {
                invitation(roomId, rooms.path("invite").path(roomId).path("invite_state"), me, now)
                        .ifPresent(events::add);
            }
        }
        for (String roomId : rooms.path("leave").propertyNames()) {
            events.add(new ChatEvent.Departure("leave:" + roomId, roomId, me, now));
        }
        return events;
    }

    private static Optional<ChatEvent> invitation(String roomId, JsonNode state, String me, Instant now) {
        String sender = "";
        String name = "";
        Instant at = now;
        for (JsonNode event : state.path("events")) {
            String type = event.path("type").asString("");
            String key = event.path("state_key").asString("");
            if (type.equals("m.room.name")) {
                name = event.path("content").path("name").asString("");
            } else if (type.equals("m.room.member")
                    && key.toLowerCase(Locale.ROOT).equals(me)) {
                sender = event.path("sender").asString("");
                at = event.has("origin_server_ts") ? EventReader.sentAt(event) : now;
            }
        }
        if (sender.isEmpty() || sender.length() > 255) {
            return Optional.empty();
        }
        String raw = state.toString();
        String id = "invite:" + roomId + ":" + at.toEpochMilli();
        return Optional.of(new ChatEvent.Invitation(
                id,
                roomId,
                sender,
                at,
                Rooms.cut(name),
                Rooms.cut(nameOf(sender, state)),
                raw.length() > LONGEST_STATE ? "{}" : raw));
    }

    private static String nameOf(String sender, JsonNode state) {
        for (JsonNode event : state.path("events")) {
            if (event.path("type").asString("").equals("m.room.member")
                    && event.path("state_key").asString("").equals(sender)) {
                return event.path("content").path("displayname").asString("");
            }
        }
        return "";
    }
}
