package org.squallnote.core.followup;

import java.util.List;

/** The steps of a follow-up, in order, as one column. */
public record Checklist(List<Item> items) {

    /** One step. */
    public record Item(String text, boolean done) {}

    /** Copies the list. */
    public Checklist {
        items = List.copyOf(items);
    }

    /** How many steps are done. */
    public int done() {
        return (int) items.stream().filter(Item::done).count();
    }
}
