package org.squallnote.store.source;

import org.squallnote.store.message.Parties;

/** A chat room as it was last seen. */
public record ChatRoom(String roomId, String name, boolean direct, Parties members) {}
