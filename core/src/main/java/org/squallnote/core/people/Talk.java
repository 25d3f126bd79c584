package org.squallnote.core.people;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/** What waits for the next talk with somebody, as one column. */
public record Talk(List<Item> items) {

    /** More do not fit into one talk. */
    public static final int MOST = 100;

    /** Nothing. */
    public static final Talk NOTHING = new Talk(List.of());

    /** One matter, known by the id that whoever wrote it down gave it. */
    public record Item(UUID id, String text, boolean done) {}

    /** Copies the list. */
    public Talk {
        items = List.copyOf(items);
    }

    /**
     * With a matter changed, or as the last one where it was not there.
     *
     * @throws IllegalArgumentException when it says nothing or there are too many
     */
    public Talk with(Item item) {
        if (item.text().isBlank()) {
            throw new IllegalArgumentException("Say in a few words what it is about. Nothing was changed.");
        }
        Item said = new Item(item.id(), item.text().strip(), item.done());
        if (items.stream().anyMatch(each -> each.id().equals(item.id()))) {
            return new Talk(items.stream()
                    .map(each -> each.id().equals(item.id()) ? said : each)
                    .toList());
        }
        if (items.size() >= MOST) {
            throw new IllegalArgumentException(
                    "There are " + MOST + " matters already. Take some out to make room. Nothing was changed.");
        }
        return new Talk(Stream.concat(items.stream(), Stream.of(said)).toList());
    }

    /** Without a matter. */
    public Talk without(UUID id) {
        return new Talk(items.stream().filter(each -> !each.id().equals(id)).toList());
    }
}
