package org.squallnote.server.chasing;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Party;
import org.squallnote.core.source.DirectRoom;
import org.squallnote.store.source.SourceStore;

/** The rooms in which I can reach somebody by chat who is awaited by mail: known by the same name. */
@Component
class ChatWays {

    private final SourceStore sources;

    ChatWays(SourceStore sources) {
        this.sources = sources;
    }

    /** A room with somebody alone. */
    record Way(UUID sourceId, String roomId) {}

    List<Way> of(UUID owner, Party party) {
        return party.name().isEmpty() ? List.of() : of(sources.directRooms(owner), party);
    }

    /** The same where the rooms are known. */
    List<Way> of(List<DirectRoom> rooms, Party party) {
        return rooms.stream()
                .filter(room -> room.members().list().stream()
                        .anyMatch(member ->
                                !party.name().isEmpty() && member.name().equalsIgnoreCase(party.name())))
                .map(room -> new Way(room.sourceId(), room.roomId()))
                .toList();
    }

    List<DirectRoom> rooms(UUID owner) {
        return sources.directRooms(owner);
    }
}
