package org.squallnote.server.command;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.ChangeOfDay;
import org.squallnote.core.history.Command;
import org.squallnote.core.history.HistoryLine;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.history.HistoryStore;

/** What was done. */
@Component
class History {

    /** So long ago is not what somebody means who takes back "the last change". */
    private static final Duration REACH = Duration.ofHours(24);

    private static final int MOST_OF_A_DAY = 1_000;

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

    /** The changes of a day in the account's zone, by whomever, the newest first. */
    List<ChangeOfDay> of(SignedIn me, LocalDate day) {
        return store.between(
                me.accountId(),
                day.atStartOfDay(me.zoneId()).toInstant(),
                day.plusDays(1).atStartOfDay(me.zoneId()).toInstant(),
                MOST_OF_A_DAY);
    }

    /** Today in the account's zone. */
    LocalDate today(SignedIn me) {
        return LocalDate.ofInstant(clock.instant(), me.zoneId());
    }

    /** What was done to one thing, the newest first. */
    List<HistoryLine> of(UUID owner, UUID subjectId) {
        return store.ofSubject(owner, subjectId);
    }
}
