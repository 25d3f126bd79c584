package org.squallnote.server.live;

import java.io.IOException;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyEmitter;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.squallnote.server.account.Sessions;

/**
 * Tells the open pages of an account which topics have changed. Changes are collected for a tenth of a second, so that
 * a first sync does not flood them.
 */
@Component
public class LiveEvents {

    /** More open pages than this of one account lose the oldest. */
    private static final int MOST_PAGES = 30;

    private final OpenStreams<SseEmitter> pages = new OpenStreams<>(MOST_PAGES);
    private final Map<UUID, Map<UUID, Set<Topic>>> due = new ConcurrentHashMap<>();

    /** Stands for what no command has changed. */
    private static final UUID NO_COMMAND = new UUID(0, 0);

    /**
     * What has changed.
     *
     * @param commandId by which command, so that the page that made it does not load everything twice
     */
    private record Change(UUID commandId, Set<Topic> topics) {}

    /** A stream for one page, until it closes. */
    SseEmitter open(UUID owner) throws IOException {
        SseEmitter page = new SseEmitter(0L);
        pages.add(owner, page);
        page.send(SseEmitter.event().name("open").data("{}"));
        return page;
    }

    /** Announces changes, once the transaction they happen in is committed. */
    public void changed(UUID owner, Collection<Topic> topics) {
        changed(owner, NO_COMMAND, topics);
    }

    /** The same of what a command has changed. */
    public void changed(UUID owner, UUID commandId, Collection<Topic> topics) {
        if (!topics.isEmpty()) {
            Set<Topic> all = EnumSet.copyOf(topics);
            afterCommit(() -> note(owner, commandId, all));
        }
    }

    /**
     * Has the open pages say what happened by itself.
     *
     * @param undoable whether there is something to take back
     */
    public void announce(UUID owner, UUID commandId, String label, boolean undoable) {
        afterCommit(() -> send(
                owner,
                SseEmitter.event()
                        .name("happened")
                        .data(Map.of("commandId", commandId, "label", label, "undoable", undoable))));
    }

    /** Does it once the transaction is committed; at once where there is none. */
    static void afterCommit(Runnable work) {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    work.run();
                }
            });
        } else {
            work.run();
        }
    }

    private void note(UUID owner, UUID commandId, Set<Topic> topics) {
        due.compute(owner, (key, noted) -> {
            Map<UUID, Set<Topic>> all = noted == null ? new HashMap<>() : noted;
            all.computeIfAbsent(commandId, id -> EnumSet.noneOf(Topic.class)).addAll(topics);
            return all;
        });
    }

    /** Sends what was noted. */
    @Scheduled(fixedDelay = 100)
    void deliver() {
        for (UUID owner : List.copyOf(due.keySet())) {
            Map<UUID, Set<Topic>> noted = due.remove(owner);
            if (noted != null) {
                List<Change> changes = noted.entrySet().stream()
                        .map(each -> new Change(each.getKey(), each.getValue()))
                        .toList();
                send(owner, SseEmitter.event().name("changed").data(changes));
            }
        }
    }

    /** Keeps proxies from closing a quiet stream, and finds pages that are gone. */
    @Scheduled(fixedDelay = 20_000)
    void beat() {
        pages.beat();
    }

    /** Closes the streams of an account; the pages that are still signed in come back by themselves. */
    @EventListener
    void closeAll(Sessions.SomeEnded ended) {
        pages.closeAll(ended.accountId());
    }

    private void send(UUID owner, SseEmitter.SseEventBuilder event) {
        Set<ResponseBodyEmitter.DataWithMediaType> built = event.build();
        for (SseEmitter page : pages.of(owner)) {
            OpenStreams.send(page, () -> page.send(built));
        }
    }
}
