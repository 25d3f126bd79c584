package org.squallnote.server.source;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.StaleVersionException;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceBuilder;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.source.SourceStore;

/** Adds, changes and disconnects sources. */
@Component
public class Sources {

    private final SourceStore store;
    private final Commands commands;
    private final SourceEngines engines;
    private final MessageStore messages;

    Sources(SourceStore store, Commands commands, SourceEngines engines, MessageStore messages) {
        this.messages = messages;
        this.store = store;
        this.commands = commands;
        this.engines = engines;
    }

    /** What is the same for all kinds. */
    public record Common(UUID id, String name, int daysBack, ArchiveRule archiveRule) {}

    int countMessages(Source source) {
        return messages.countInSource(source.owner(), source.id());
    }

    /** A source of that kind that is not connected yet. */
    public Source source(SignedIn me, Common common, SourceKind kind, String address, String settings, byte[] secret) {
        return SourceBuilder.builder()
                .id(common.id())
                .owner(me.accountId())
                .kind(kind)
                .name(common.name())
                .address(address.strip().toLowerCase(Locale.ROOT))
                .settings(settings)
                .secret(secret)
                .daysBack(common.daysBack())
                .archiveRule(common.archiveRule())
                .addedAt(engines.now())
                .status(SourceStatus.CONNECTING)
                .statusText("Connecting.")
                .build();
    }

    /** Connects a source, unless its address is connected already. */
    public Done add(SignedIn me, UUID commandId, Source source) {
        boolean taken = store.of(me.accountId()).stream()
                .anyMatch(other ->
                        other.address().equals(source.address()) && !other.id().equals(source.id()));
        if (taken) {
            throw Refusal.invalid(source.address() + " is connected already. Change its settings instead.");
        }
        Done done = commands.run(me, commandId, "source-added", changes -> {
            store.insert(source);
            changes.label("Connected " + source.name())
                    .record(SubjectType.SOURCE, source.id(), null, state(source))
                    .touch(Topic.SOURCES);
        });
        restart(me, source.id());
        return done;
    }

    /** Disconnects a source: its messages stay, its password goes. */
    Done disconnect(SignedIn me, UUID commandId, UUID id, int version) {
        Source source = get(me, id);
        Done done = change(
                me,
                commandId,
                id,
                version,
                "Disconnected " + source.name(),
                old -> with(
                        old,
                        old.name(),
                        old.settings(),
                        new byte[0],
                        old.daysBack(),
                        old.archiveRule(),
                        engines.now()));
        engines.disconnected(source);
        return done;
    }

    /** Changes a source, as long as nobody else has meanwhile, and starts its engine anew. */
    public Done change(SignedIn me, UUID commandId, UUID id, int version, String label, UnaryOperator<Source> changed) {
        Done done = commands.run(me, commandId, "source-changed", changes -> {
            Source old = get(me, id);
            Source now = changed.apply(old);
            if (old.version() != version || store.update(now) == 0) {
                throw new StaleVersionException(id);
            }
            changes.label(label)
                    .record(SubjectType.SOURCE, id, state(old), state(now))
                    .touch(Topic.SOURCES);
        });
        restart(me, id);
        return done;
    }

    private void restart(SignedIn me, UUID id) {
        store.byId(me.accountId(), id).ifPresent(engines::start);
    }

    Source get(SignedIn me, UUID id) {
        return store.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("source"));
    }

    /** A source of mine of that kind. */
    public Source get(SignedIn me, UUID id, SourceKind kind) {
        return find(me, id, kind).orElseThrow(() -> Refusal.notFound("source"));
    }

    /** A source of mine of that kind, where there is one. */
    public Optional<Source> find(SignedIn me, UUID id, SourceKind kind) {
        return store.byId(me.accountId(), id).filter(source -> source.kind() == kind);
    }

    List<Source> all(SignedIn me) {
        return store.of(me.accountId());
    }

    /** A source with another secret. */
    public static Source withSecret(Source s, byte[] secret) {
        return with(s, s.name(), s.settings(), secret, s.daysBack(), s.archiveRule(), s.removedAt());
    }

    /** A source as its settings have become. */
    public static Source with(Source s, Common common, String settings, byte[] secret) {
        return with(s, common.name(), settings, secret, common.daysBack(), common.archiveRule(), null);
    }

    private static Source with(
            Source s,
            String name,
            String settings,
            byte[] secret,
            int daysBack,
            ArchiveRule archiveRule,
            @Nullable Instant removedAt) {
        return SourceBuilder.builder(s)
                .name(name)
                .settings(settings)
                .secret(secret)
                .daysBack(daysBack)
                .archiveRule(archiveRule)
                .removedAt(removedAt)
                .build();
    }

    /** What the history keeps of a source: nothing secret. */
    private static Map<String, Object> state(Source source) {
        return Map.of(
                "name", source.name(),
                "address", source.address(),
                "settings", source.settings(),
                "daysBack", source.daysBack(),
                "archiveRule", source.archiveRule(),
                "connected", source.removedAt() == null);
    }
}
