package org.squallnote.standins.chat;

import java.util.Optional;
import tools.jackson.databind.node.ObjectNode;

/**
 * An event of a room, in the order in which the server took it.
 *
 * @param position its place among all events of the server, from one
 * @param json the event in client format, without {@code unsigned}
 * @param transaction the sender's access token and transaction id, for the local echo
 */
record RoomEvent(long position, String roomId, ObjectNode json, Optional<String> transaction) {

    String id() {
        return json.path("event_id").asString("");
    }

    String type() {
        return json.path("type").asString("");
    }

    boolean isState() {
        return json.has("state_key");
    }

    /** What it makes a member: {@code invite}, {@code join} or {@code leave}. */
    String membership() {
        return json.path("content").path("membership").asString("");
    }

    String relatesTo() {
        return json.path("content").path("m.relates_to").path("event_id").asString("");
    }

    String relationType() {
        return json.path("content").path("m.relates_to").path("rel_type").asString("");
    }
}
