package org.squallnote.server.thread;

import java.util.UUID;
import org.squallnote.server.command.Changes;

/** What ends with a thread, as part of the command that closes it. */
public interface EndingOfThread {

    /**
     * The open follow-ups that were made from a thread are done.
     *
     * @return how many there were
     */
    int endOfThread(UUID owner, UUID threadId, Changes changes);
}
