package org.squallnote.core.thread;

import java.util.List;
import org.squallnote.core.turn.Awaited;

/** Who owes me what in a thread, as one column. */
public record Awaiting(List<Awaited> list) {

    /** Copies the list. */
    public Awaiting {
        list = List.copyOf(list);
    }
}
