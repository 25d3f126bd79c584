package org.squallnote.core.source;

import java.util.UUID;
import org.squallnote.core.message.Parties;

/** A room with somebody alone, and the account on a homeserver that is in it. */
public record DirectRoom(UUID sourceId, String roomId, Parties members) {}
