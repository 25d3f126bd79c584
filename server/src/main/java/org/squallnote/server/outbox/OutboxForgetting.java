package org.squallnote.server.outbox;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.outbox.OutboxStore;

/** Forgets what only repeats what lies elsewhere: the text of sent mail is a message of its own by then. */
@Component
class OutboxForgetting {

    /** So long it may help to look at what went out. */
    private static final Duration KEPT = Duration.ofDays(14);

    private final OutboxStore store;
    private final AccountStore accounts;
    private final OwnerLocks locks;
    private final Clock clock;

    OutboxForgetting(OutboxStore store, AccountStore accounts, OwnerLocks locks, Clock clock) {
        this.store = store;
        this.accounts = accounts;
        this.locks = locks;
        this.clock = clock;
    }

    @Scheduled(initialDelay = 10, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
    void round() {
        Instant before = clock.instant().minus(KEPT);
        for (Account account : accounts.all()) {
            locks.write(account.id(), () -> {
                store.emptySent(account.id(), before);
                store.forgetDrafts(account.id(), before);
            });
        }
    }
}
