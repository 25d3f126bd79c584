package org.squallnote.core.source;

import org.squallnote.core.message.Parties;

/** A chat room as it was last seen. */
public record ChatRoom(String roomId, String name, boolean direct, Parties members) {}
