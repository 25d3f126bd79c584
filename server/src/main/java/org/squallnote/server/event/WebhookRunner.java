package org.squallnote.server.event;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Profile;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.core.event.Event;
import org.squallnote.core.event.Webhook;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.sources.webhook.WebhookCourier;
import org.squallnote.store.event.EventStore;
import org.squallnote.store.event.WebhookStore;

/**
 * Sends events to webhooks, each in its order and until it is taken. How far one has come is written down after an event was
 * taken: whoever is told twice, after a power cut say, knows it by the id of the message.
 */
@Component
@Profile("!command")
class WebhookRunner {

    private static final Logger LOG = LoggerFactory.getLogger(WebhookRunner.class);
    private static final int AT_ONCE = 4;
    private static final int MOST_OF_ONE = 100;

    private final WebhookStore store;
    private final EventStore events;
    private final Webhooks webhooks;
    private final Commands commands;
    private final OwnerLocks locks;
    private final LiveEvents live;
    private final Clock clock;
    private final Set<UUID> underWay = ConcurrentHashMap.newKeySet();
    private final ExecutorService workers = Executors.newFixedThreadPool(AT_ONCE, work -> {
        Thread thread = new Thread(work, "webhooks");
        thread.setDaemon(true);
        return thread;
    });

    WebhookRunner(
            WebhookStore store,
            EventStore events,
            Webhooks webhooks,
            Commands commands,
            OwnerLocks locks,
            LiveEvents live,
            Clock clock) {
        this.store = store;
        this.events = events;
        this.webhooks = webhooks;
        this.commands = commands;
        this.locks = locks;
        this.live = live;
        this.clock = clock;
    }

    @Scheduled(fixedDelay = 500)
    void round() {
        for (Webhook webhook : store.due(clock.instant())) {
            if (underWay.add(webhook.id())) {
                workers.execute(() -> work(webhook));
            }
        }
    }

    private void work(Webhook webhook) {
        try {
            // Read again: what this list says may be older than what another round has just sent.
            store.byId(webhook.owner(), webhook.id())
                    .filter(now -> !now.stopped())
                    .ifPresent(this::tell);
        } catch (RuntimeException e) {
            LOG.warn("Webhook {} failed", webhook.id(), e);
        } finally {
            underWay.remove(webhook.id());
        }
    }

    private void tell(Webhook webhook) {
        Webhook now = webhook;
        List<Event> next = events.after(webhook.owner(), webhook.deliveredUpTo(), MOST_OF_ONE);
        for (Event event : next) {
            if (!now.wants(event)) {
                now = now.past(event.seq());
                continue;
            }
            WebhookCourier.Outcome outcome = webhooks.send(now, event);
            boolean first = now.attempts() == 0;
            now = outcome.isTaken()
                    ? now.taken(event.seq(), clock.instant())
                    : now.failed(outcome.problem(), outcome.forGood(), clock.instant());
            if (!keep(now)) {
                return;
            }
            if (!outcome.isTaken()) {
                failed(now, first);
                return;
            }
        }
        keep(now);
    }

    /** Keeps how far it has come; answers whether it is still there. */
    private boolean keep(Webhook webhook) {
        return locks.write(webhook.owner(), () -> store.update(webhook)) == 1;
    }

    private void failed(Webhook webhook, boolean first) {
        if (webhook.stopped()) {
            locks.write(
                    webhook.owner(),
                    () -> commands.runWithin(
                            webhook.owner(),
                            "webhook-stopped",
                            changes -> changes.label("Nothing is sent to “" + webhook.name()
                                            + "” any more: " + webhook.problem()
                                            + " It waits under Settings, Scripts.")
                                    .touch(Topic.SETTINGS)
                                    .announce()));
        } else if (first) {
            live.changed(webhook.owner(), List.of(Topic.SETTINGS));
        }
    }

    @PreDestroy
    void stop() {
        workers.shutdownNow();
    }
}
