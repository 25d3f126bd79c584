package org.squallnote.server.command;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.HistoryLine;
import org.squallnote.store.history.HistoryStore;

/** What was done. */
@Component
class History {

    private final HistoryStore store;

    History(HistoryStore store) {
        this.store = store;
    }

    /** What was done to one thing, the newest first. */
    List<HistoryLine> of(UUID owner, UUID subjectId) {
        return store.ofSubject(owner, subjectId);
    }
}
