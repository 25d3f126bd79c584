package org.squallnote.server.source;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.OutboxRunner;
import org.squallnote.sources.Reason;
import org.squallnote.store.source.SourceStore;

/** Runs the engines of all connected sources, and restarts one when its source changes. */
@Component
public class SourceEngines {

    private static final Logger LOG = LoggerFactory.getLogger(SourceEngines.class);

    private final Map<UUID, SourceEngine.Running> running = new ConcurrentHashMap<>();
    private final SourceStore sources;
    private final Map<SourceKind, SourceEngine> engines = new EnumMap<>(SourceKind.class);
    private final SourceJournals journals;
    private final Clock clock;
    private final Environment environment;

    SourceEngines(
            SourceStore sources,
            SourceJournals journals,
            List<SourceEngine> engines,
            Clock clock,
            Environment environment) {
        this.sources = sources;
        this.journals = journals;
        engines.forEach(engine -> this.engines.put(engine.kind(), engine));
        this.clock = clock;
        this.environment = environment;
    }

    /** Starts all, once the application answers. */
    @EventListener
    public void startAll(ApplicationReadyEvent ready) {
        if (!environment.matchesProfiles("command")) {
            sources.connected().forEach(this::start);
        }
    }

    /** Wakes the outbox of the source that something was put in for. */
    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT, fallbackExecution = true)
    public void wake(Outbox.Added added) {
        Optional.ofNullable(running.get(added.sourceId()))
                .flatMap(SourceEngine.Running::outbox)
                .ifPresent(OutboxRunner::wake);
    }

    /** Starts a source's engine, or starts it anew with its present settings. */
    synchronized void start(Source source) {
        stop(source.id());
        SourceEngine engine = engines.get(source.kind());
        if (source.removedAt() != null || engine == null) {
            return;
        }
        sources.setStatus(source.owner(), source.id(), SourceStatus.CONNECTING, "Connecting.", 0, 0);
        try {
            Instant since = source.addedAt().minus(Duration.ofDays(source.daysBack()));
            running.put(source.id(), engine.start(source, since));
        } catch (RuntimeException e) {
            LOG.warn("The engine of {} did not start", source.name(), e);
            journals.status(source).trouble(Reason.of(e));
        }
    }

    /** A source was disconnected. */
    void disconnected(Source source) {
        stop(source.id());
        Optional.ofNullable(engines.get(source.kind())).ifPresent(engine -> engine.disconnected(source));
    }

    /** Ends a source's engine. */
    synchronized void stop(UUID sourceId) {
        Optional.ofNullable(running.remove(sourceId)).ifPresent(SourceEngines::close);
    }

    private static void close(SourceEngine.Running engine) {
        engine.outbox().ifPresent(OutboxRunner::close);
        try {
            engine.sync().close();
        } catch (Exception e) {
            LOG.debug("An engine did not end cleanly", e);
        }
    }

    /** Ends all engines. */
    @PreDestroy
    public void stopAll() {
        running.keySet().forEach(this::stop);
    }

    /** The moment by the application's clock. */
    Instant now() {
        return clock.instant();
    }
}
