package org.squallnote.server.outbox;

import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * Which entries of the outbox a worker of this process has in its hands. The state in the database outlives the process;
 * this does not, and so it tells an entry that is being worked on (by the worker of a source that was changed meanwhile,
 * say) from one that an earlier process left half done.
 */
@Component
public class Claims {

    private final Set<UUID> taken = ConcurrentHashMap.newKeySet();

    /**
     * Takes an entry.
     *
     * @return false when another worker has it
     */
    public boolean take(UUID entry) {
        return taken.add(entry);
    }

    /** Gives an entry back. */
    public void release(UUID entry) {
        taken.remove(entry);
    }
}
