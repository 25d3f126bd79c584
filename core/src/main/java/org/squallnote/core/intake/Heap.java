package org.squallnote.core.intake;

import org.squallnote.core.message.Nature;

/** The three heaps of Intake, in the order in which they are worked through. */
public enum Heap {
    ASKS_YOU,
    TO_READ,
    AUTOMATIC;

    /**
     * The heap of an undecided message.
     *
     * @param asksMe whether an ask for me was found in it
     */
    public static Heap of(Nature nature, boolean asksMe) {
        if (nature == Nature.BOUNCE || nature == Nature.INVITATION) {
            return ASKS_YOU;
        }
        if (!nature.isPersonal()) {
            return AUTOMATIC;
        }
        return asksMe ? ASKS_YOU : TO_READ;
    }
}
