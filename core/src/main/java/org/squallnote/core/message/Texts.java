package org.squallnote.core.message;

import java.util.List;

/** Texts as one column. */
public record Texts(List<String> list) {

    /** Copies the list. */
    public Texts {
        list = List.copyOf(list);
    }
}
