package org.squallnote.core.people;

import java.util.List;

/** Telephone numbers, as one column. */
public record Phones(List<Phone> list) {

    /** None. */
    public static final Phones NONE = new Phones(List.of());

    /** Copies the list. */
    public Phones {
        list = List.copyOf(list);
    }
}
