package org.squallnote.server.followup;

import java.util.UUID;
import org.squallnote.server.command.Changes;

/** What follows from the end of a follow-up, as part of the command that ends it. */
public interface EndingFollowUps {

    /** It has been done or dropped. */
    void ended(UUID owner, UUID followUpId, Changes changes);
}
