package org.squallnote.server.outbox;

import org.squallnote.sources.SyncStatus;

/** Passes on how an engine stands, and remembers whether everything that came has been read. */
public final class UpToDate implements SyncStatus {

    private final SyncStatus to;
    private volatile boolean live;

    /** Passes everything on. */
    public UpToDate(SyncStatus to) {
        this.to = to;
    }

    /** Whether everything was read, and new messages arrive as they come. */
    boolean isNow() {
        return live;
    }

    @Override
    public void reading(int done, int total) {
        live = false;
        to.reading(done, total);
    }

    @Override
    public void live() {
        to.live();
        live = true;
    }

    @Override
    public void trouble(String whatHappened) {
        live = false;
        to.trouble(whatHappened);
    }
}
