package org.squallnote.store.message;

import java.util.List;
import org.squallnote.core.message.Party;

/** Parties as one column. */
public record Parties(List<Party> list) {

    /** Copies the list. */
    public Parties {
        list = List.copyOf(list);
    }
}
