package org.squallnote.sources.chat;

import java.util.List;
import org.squallnote.core.message.Party;

/**
 * A room as it stands.
 *
 * @param name its name, or the others' names when it has none
 * @param direct whether it is a conversation of two
 * @param members those in it, me included
 */
public record RoomView(String roomId, String name, boolean direct, List<Party> members) {

    /** Copies the members. */
    public RoomView {
        members = List.copyOf(members);
    }
}
