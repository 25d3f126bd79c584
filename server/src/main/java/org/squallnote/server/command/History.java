package org.squallnote.server.command;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.Command;
import org.squallnote.core.history.HistoryLine;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.history.HistoryStore;

/** What was done. */
@Component
class History {

    /** So long ago is not what somebody means who takes back "the last change". */
    private static final Duration REACH = Duration.ofHours(24);

    private final HistoryStore store;
    private final Clock clock;

    History(HistoryStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** The last change that the user has made, in whatever window, and not taken back. */
    Optional<Command> lastOf(SignedIn me) {
        return store.lastBy(me.accountId(), me.name(), clock.instant().minus(REACH));
    }

    /** What was done to one thing, the newest first. */
    List<HistoryLine> of(UUID owner, UUID subjectId) {
        return store.ofSubject(owner, subjectId);
    }
}
