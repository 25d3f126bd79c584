package org.squallnote.core.event;

import java.util.Set;

/** Parts of an account, as the live stream names them, as one column. */
public record Topics(Set<String> names) {

    /** Copies the set. */
    public Topics {
        names = Set.copyOf(names);
    }
}
