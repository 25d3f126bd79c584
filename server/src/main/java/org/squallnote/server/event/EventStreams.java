package org.squallnote.server.event;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.squallnote.core.account.Account;
import org.squallnote.core.event.Event;
import org.squallnote.server.account.Sessions;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.EventLog;
import org.squallnote.server.live.OpenStreams;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.event.EventStore;

/** Open streams of what happens: each begins where its reader stopped, and misses nothing. */
@Component
class EventStreams {

    static final int MOST_AT_ONCE = 500;

    /** More open streams of one account lose the oldest. */
    private static final int MOST_STREAMS = 10;

    /** A stream ends after so long, so that it is asked again who reads it; readers take it up by themselves. */
    private static final Duration LONGEST = Duration.ofHours(1);

    private final OpenStreams<Stream> open = new OpenStreams<>(MOST_STREAMS);
    private final Set<UUID> news = ConcurrentHashMap.newKeySet();
    private final EventStore store;
    private final AccountStore accounts;
    private final OwnerLocks locks;
    private final Clock clock;

    EventStreams(EventStore store, AccountStore accounts, OwnerLocks locks, Clock clock) {
        this.store = store;
        this.accounts = accounts;
        this.locks = locks;
        this.clock = clock;
    }

    private static final class Stream extends SseEmitter {

        /** What was told last. */
        private long seq;

        Stream(long seq) {
            super(LONGEST.toMillis());
            this.seq = seq;
        }
    }

    /** What happened after a number, the first of it. */
    List<HappenedView> after(UUID owner, long seq) {
        return store.after(owner, seq, MOST_AT_ONCE).stream()
                .map(HappenedView::of)
                .toList();
    }

    /** The number of what happened last; 0 where nothing has. */
    long last(UUID owner) {
        return store.last(owner).orElse(0L);
    }

    /** A stream of what happens after a number. */
    SseEmitter open(UUID owner, long seq) throws IOException {
        Stream stream = new Stream(seq);
        stream.send(SseEmitter.event().comment("What happens is told from " + seq + " on."));
        open.add(owner, stream);
        news.add(owner);
        return stream;
    }

    @EventListener
    void happened(EventLog.Happened happened) {
        if (!open.of(happened.owner()).isEmpty()) {
            news.add(happened.owner());
        }
    }

    /** Whoever may not look any more does not go on looking. */
    @EventListener
    void closeAll(Sessions.SomeEnded ended) {
        open.closeAll(ended.accountId());
    }

    @Scheduled(fixedDelay = 100)
    void deliver() {
        for (UUID owner : List.copyOf(news)) {
            news.remove(owner);
            for (Stream stream : open.of(owner)) {
                OpenStreams.send(stream, () -> tell(owner, stream));
            }
        }
    }

    private void tell(UUID owner, Stream stream) throws IOException {
        List<Event> events;
        do {
            events = store.after(owner, stream.seq, MOST_AT_ONCE);
            for (Event event : events) {
                stream.send(SseEmitter.event()
                        .id(String.valueOf(event.seq()))
                        .name(event.kind())
                        .data(HappenedView.of(event)));
                stream.seq = event.seq();
            }
        } while (events.size() == MOST_AT_ONCE);
    }

    @Scheduled(fixedDelay = 20_000)
    void beat() {
        open.beat();
    }

    /** What nobody can ask for any more is forgotten. */
    @Scheduled(initialDelay = 15, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
    void forget() {
        Instant before = clock.instant().minus(Event.KEPT);
        for (Account account : accounts.all()) {
            locks.write(account.id(), () -> {
                store.forget(account.id(), before);
            });
        }
    }
}
