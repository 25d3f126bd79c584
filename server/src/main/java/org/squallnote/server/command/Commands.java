package org.squallnote.server.command;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.event.Subjects;
import org.squallnote.core.history.Command;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.live.EventLog;
import org.squallnote.server.live.LiveEvents;
import org.squallnote.server.live.Topic;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.history.HistoryStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The one way in for every change: state, history and outbox are written in one transaction, and a request that
 * comes again with the same identifier is answered as the first time without changing anything.
 */
@Component
public class Commands {

    /** The actor of changes that nobody asked for by hand. */
    public static final String SYSTEM = "Squallnote";

    private final OwnerLocks locks;
    private final HistoryStore history;
    private final LiveEvents live;
    private final EventLog log;
    private final UuidV7 ids;
    private final Clock clock;
    private final JsonMapper json;

    Commands(
            OwnerLocks locks,
            HistoryStore history,
            LiveEvents live,
            EventLog log,
            UuidV7 ids,
            Clock clock,
            JsonMapper json) {
        this.locks = locks;
        this.history = history;
        this.live = live;
        this.log = log;
        this.ids = ids;
        this.clock = clock;
        this.json = json;
    }

    /** Runs a change of the user's. */
    public Done run(SignedIn me, UUID commandId, String kind, Consumer<Changes> work) {
        return locks.write(me.accountId(), () -> within(me.accountId(), me.name(), commandId, kind, null, work));
    }

    /**
     * Runs a change that follows from what another account did.
     *
     * @param news what was done, the same words for the same deed: told twice it is made once
     */
    public Done runForAnother(UUID owner, String kind, String news, Consumer<Changes> work) {
        UUID commandId = UUID.nameUUIDFromBytes((news + " " + owner).getBytes(StandardCharsets.UTF_8));
        return locks.write(owner, () -> within(owner, SYSTEM, commandId, kind, null, work));
    }

    /** Runs a change within a transaction that is already open, for what follows from an arriving message. */
    public Done runWithin(UUID owner, String kind, Consumer<Changes> work) {
        return within(owner, SYSTEM, ids.next(), kind, null, work);
    }

    Done within(UUID owner, String actor, UUID commandId, String kind, @Nullable UUID undoOf, Consumer<Changes> work) {
        Optional<Command> before = history.command(owner, commandId);
        if (before.isPresent()) {
            // What it changed is not known any more.
            return new Done(commandId, before.get().label(), EnumSet.allOf(Topic.class));
        }
        Instant now = clock.instant();
        history.insertCommand(new Command(commandId, owner, kind, "", now, null, undoOf));
        Changes changes = new Changes(commandId);
        work.accept(changes);
        history.setLabel(owner, commandId, changes.label());
        int step = 0;
        for (Changes.Change change : changes.list()) {
            StateDifference.Sides kept = kept(change);
            history.insert(new HistoryEntry(
                    ids.next(),
                    owner,
                    commandId,
                    step++,
                    change.type(),
                    change.subjectId(),
                    actor,
                    now,
                    change.type().version(),
                    write(kept.before()),
                    write(kept.after())));
        }
        log.changed(
                owner,
                commandId,
                kind,
                changes.label(),
                changes.list().stream()
                        .map(change -> new Subjects.Subject(change.type().name(), change.subjectId()))
                        .toList(),
                changes.topics());
        live.changed(owner, commandId, changes.topics());
        if (changes.announced()) {
            live.announce(owner, commandId, changes.label(), !changes.list().isEmpty());
        }
        return new Done(commandId, changes.label(), changes.topics());
    }

    private StateDifference.Sides kept(Changes.Change change) {
        JsonNode before = tree(change.before());
        JsonNode after = tree(change.after());
        return change.type().keptWhole()
                ? new StateDifference.Sides(before, after)
                : StateDifference.between(before, after);
    }

    private @Nullable JsonNode tree(@Nullable Object state) {
        return state == null ? null : json.valueToTree(state);
    }

    private @Nullable String write(@Nullable JsonNode state) {
        return state == null ? null : json.writeValueAsString(state);
    }
}
