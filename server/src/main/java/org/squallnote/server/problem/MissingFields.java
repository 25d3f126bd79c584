package org.squallnote.server.problem;

import java.util.Map;

/** A body lacks what has to be in it. */
final class MissingFields extends RuntimeException {

    private final transient Map<String, String> fields;

    MissingFields(Map<String, String> fields) {
        super("Missing: " + fields.keySet());
        this.fields = Map.copyOf(fields);
    }

    /** What is wrong, by the path of the field. */
    Map<String, String> fields() {
        return fields;
    }
}
