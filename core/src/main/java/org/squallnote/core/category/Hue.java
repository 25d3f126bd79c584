package org.squallnote.core.category;

import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;

/** The twelve muted hues that a category can take. The colours themselves belong to the interface. */
public enum Hue {
    TIDE,
    MOSS,
    CLAY,
    HEATHER,
    SAND,
    SLATE,
    FERN,
    PLUM,
    RUSTLEAF,
    LAGOON,
    STRAW,
    SHELL;

    /** One that fewest have, the first of these. */
    public static Hue leastOf(Collection<Hue> used) {
        return Arrays.stream(values())
                .min(Comparator.comparingInt(hue -> Collections.frequency(used, hue)))
                .orElse(TIDE);
    }
}
