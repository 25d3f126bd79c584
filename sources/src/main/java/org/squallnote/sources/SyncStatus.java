package org.squallnote.sources;

/** Where an engine reports how it stands. */
public interface SyncStatus {

    /** Reading what is already there. */
    void reading(int done, int total);

    /** Everything is read; new messages arrive as they come. */
    void live();

    /** Something is wrong; the engine tries again by itself. */
    void trouble(String whatHappened);
}
