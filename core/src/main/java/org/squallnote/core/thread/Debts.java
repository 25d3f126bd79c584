package org.squallnote.core.thread;

import java.util.List;
import org.squallnote.core.turn.Debt;

/** What I owe in a thread, as one column. */
public record Debts(List<Debt> list) {

    /** Copies the list. */
    public Debts {
        list = List.copyOf(list);
    }
}
