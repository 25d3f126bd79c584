package org.squallnote.core.capture;

import java.util.Optional;

/** How long something takes, as somebody types it into a field: "30 min", "1h30", "half an hour". */
public final class TypedEffort {

    private TypedEffort() {}

    /** The minutes; absent where the words say no stretch of time, or more than that. */
    public static Optional<Integer> read(String typed) {
        LineParts parts = new LineParts(typed.strip());
        return EffortPart.takenFrom(parts).filter(minutes -> parts.rest().isBlank());
    }
}
