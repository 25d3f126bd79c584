package org.squallnote.core.event;

import java.util.List;
import java.util.UUID;

/** What an event was about, the first of them, as one column. */
public record Subjects(List<Subject> list) {

    /** So many are named. */
    public static final int MOST = 50;

    /** Copies the beginning of the list. */
    public Subjects {
        list = list.stream().limit(MOST).toList();
    }

    /** One thing it was about. */
    public record Subject(String type, UUID id) {}
}
