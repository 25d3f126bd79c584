package org.squallnote.core.message;

import java.util.List;

/** Parties as one column. */
public record Parties(List<Party> list) {

    /** Copies the list. */
    public Parties {
        list = List.copyOf(list);
    }
}
