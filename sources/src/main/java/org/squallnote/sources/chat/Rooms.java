package org.squallnote.sources.chat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.squallnote.core.message.Party;
import tools.jackson.databind.JsonNode;

/** The rooms with names and members, kept up to date from state events and account data. */
final class Rooms {

    private static final class Room {
        private String name = "";
        private boolean direct;
        private final Map<String, String> members = new LinkedHashMap<>();
    }

    private final String me;
    private final Map<String, Room> byId = new HashMap<>();
    private final Set<String> directIds = new HashSet<>();

    Rooms(String me, List<RoomView> known) {
        this.me = me;
        for (RoomView view : known) {
            Room room = byId.computeIfAbsent(view.roomId(), id -> new Room());
            room.name = view.name();
            room.direct = view.direct();
            if (view.direct()) {
                directIds.add(view.roomId());
            }
            view.members().forEach(member -> room.members.put(member.address(), member.name()));
        }
    }

    /** Takes in which rooms are direct ({@code m.direct} in the account data). */
    void applyAccountData(JsonNode accountData) {
        for (JsonNode event : accountData.path("events")) {
            if (event.path("type").asString("").equals("m.direct")) {
                directIds.clear();
                event.path("content").forEach(rooms -> rooms.forEach(id -> directIds.add(id.asString(""))));
            }
        }
        byId.forEach((id, room) -> room.direct = directIds.contains(id));
    }

    /** Takes in one event, if it is state that matters. */
    void applyState(String roomId, JsonNode event) {
        Room room = byId.computeIfAbsent(roomId, id -> new Room());
        room.direct = directIds.contains(roomId);
        JsonNode content = event.path("content");
        String type = event.path("type").asString("");
        if (type.equals("m.room.name")) {
            room.name = content.path("name").asString("");
        } else if (type.equals("m.room.member")) {
            String user = event.path("state_key").asString("");
            String membership = content.path("membership").asString("");
            if (membership.equals("join") || membership.equals("invite")) {
                room.members.put(
                        user.toLowerCase(Locale.ROOT),
                        cut(content.path("displayname").asString("")));
            } else {
                room.members.remove(user.toLowerCase(Locale.ROOT));
            }
        }
    }

    RoomView view(String roomId) {
        Room room = byId.computeIfAbsent(roomId, id -> new Room());
        List<Party> members = new ArrayList<>();
        room.members.forEach((address, name) -> members.add(new Party(name, address)));
        String name = room.name.isBlank() || room.direct ? othersNames(members) : room.name;
        return new RoomView(roomId, name.isBlank() ? roomId : cut(name), room.direct, members);
    }

    private String othersNames(List<Party> members) {
        return members.stream()
                .filter(member -> !member.address().equals(me))
                .map(Party::displayName)
                .limit(4)
                .collect(Collectors.joining(", "));
    }

    static String cut(String name) {
        return name.length() > 200 ? name.substring(0, 200) : name;
    }
}
