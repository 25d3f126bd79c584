package org.squallnote.core.round;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/**
 * A line that stays as it is in a walk.
 *
 * @param line its key
 */
public record KeptLine(String line) {

    /** The longest key, in characters. */
    public static final int LONGEST = 700;

    /** By which it is known, in the history too. */
    public UUID id() {
        return UUID.nameUUIDFromBytes(line.getBytes(StandardCharsets.UTF_8));
    }
}
