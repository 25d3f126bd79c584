package org.squallnote.core.category;

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
    SHELL
}
