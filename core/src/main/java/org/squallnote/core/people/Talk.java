package org.squallnote.core.people;

import java.util.List;

/** What waits for the next talk with somebody, as one column. */
public record Talk(List<Item> items) {

    /** Nothing. */
    public static final Talk NOTHING = new Talk(List.of());

    /** One matter. */
    public record Item(String text, boolean done) {}

    /** Copies the list, without empty matters. */
    public Talk {
        items = items.stream()
                .map(item -> new Item(item.text().strip(), item.done()))
                .filter(item -> !item.text().isEmpty())
                .toList();
    }
}
