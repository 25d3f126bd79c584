package org.squallnote.core.intake;

import org.squallnote.core.message.Nature;

/** The three heaps of Intake, in the order in which they are worked through. */
public enum Heap {
    ASKS_YOU,
    TO_READ,
    AUTOMATIC;

    /** Whether what is wanted first stands first in it; of the others the newest does. */
    public boolean byWanted() {
        return this == ASKS_YOU;
    }

    /**
     * The heap of an undecided message.
     *
     * @param asksMe whether an ask for me was found in it, or the user has said that it asks
     */
    public static Heap of(Nature nature, boolean asksMe) {
        if (asksMe || nature == Nature.BOUNCE || nature == Nature.INVITATION) {
            return ASKS_YOU;
        }
        return nature.isPersonal() ? TO_READ : AUTOMATIC;
    }
}
