package org.squallnote.server.followup;

import java.util.Optional;
import java.util.UUID;
import org.squallnote.server.command.Changes;

/** What follows from the end of a follow-up, as part of the command that ends it; and from what undoes that. */
public interface EndingFollowUps {

    /**
     * It has been done or dropped.
     *
     * @return what is to be said of it, absent for nothing
     */
    Optional<String> ended(UUID owner, UUID followUpId, Changes changes);

    /** It is open again, or is not there any more. */
    default void changed(UUID owner, UUID followUpId, Changes changes) {}
}
