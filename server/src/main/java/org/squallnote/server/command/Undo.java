package org.squallnote.server.command;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.Command;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.history.HistoryStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Takes a change back, all of it or nothing. An undo is a change like any other and can be undone. */
@Component
class Undo {

    private final OwnerLocks locks;
    private final Commands commands;
    private final HistoryStore history;
    private final TakeBack outside;
    private final JsonMapper json;
    private final Map<SubjectType, Restorer> restorers = new EnumMap<>(SubjectType.class);

    Undo(
            OwnerLocks locks,
            Commands commands,
            HistoryStore history,
            TakeBack outside,
            JsonMapper json,
            List<Restorer> restorers) {
        this.locks = locks;
        this.commands = commands;
        this.history = history;
        this.outside = outside;
        this.json = json;
        restorers.forEach(restorer -> this.restorers.put(restorer.type(), restorer));
    }

    Done undo(SignedIn me, UUID undoId, UUID commandId) {
        UUID owner = me.accountId();
        return locks.write(
                owner,
                () -> commands.within(
                        owner,
                        me.name(),
                        undoId,
                        "undo",
                        commandId,
                        changes -> takeBack(owner, undoId, commandId, changes)));
    }

    private void takeBack(UUID owner, UUID undoId, UUID commandId, Changes changes) {
        Command command = history.command(owner, commandId).orElseThrow(() -> Refusal.notFound("change"));
        if (history.markUndone(owner, commandId, undoId) == 0) {
            throw Refusal.conflict("This was undone already. Nothing was changed.");
        }
        outside.takeBack(owner, commandId, changes);
        List<HistoryEntry> entries = new ArrayList<>(history.ofCommand(owner, commandId));
        Collections.reverse(entries);
        for (HistoryEntry entry : entries) {
            Restorer restorer = restorers.get(entry.subjectType());
            if (restorer == null) {
                throw Refusal.invalid("This kind of change cannot be undone. Nothing was changed.");
            }
            takeBack(owner, readable(entry, restorer), restorer, changes);
        }
        changes.label("Undone: " + command.label());
    }

    /** Refuses where what the change has changed is otherwise now; what it left alone may have changed since. */
    private void takeBack(UUID owner, HistoryEntry entry, Restorer restorer, Changes changes) {
        StateDifference.Sides sides = StateDifference.between(tree(entry.before()), tree(entry.after()));
        Object row = restorer.current(owner, entry);
        // By way of its text, as the history has it: a whole number in a tree is equal only to one of the same width.
        JsonNode current = row == null ? null : tree(json.writeValueAsString(row));
        if (!StateDifference.holds(sides.after(), current)) {
            throw Refusal.conflict("This was changed again since, so it is not undone. Nothing was changed.");
        }
        JsonNode before = sides.before() == null || current == null
                ? sides.before()
                : StateDifference.applied(current, sides.before());
        restorer.restore(owner, entry.with(write(before), write(current)), changes);
        changes.record(entry.subjectType(), entry.subjectId(), current, before);
    }

    /** An entry in today's form. */
    private HistoryEntry readable(HistoryEntry entry, Restorer restorer) {
        return entry.version() == entry.subjectType().version()
                ? entry
                : entry.with(
                        write(upcast(entry.version(), entry.before(), restorer)),
                        write(upcast(entry.version(), entry.after(), restorer)));
    }

    private @Nullable JsonNode upcast(int version, @Nullable String state, Restorer restorer) {
        return tree(state) instanceof ObjectNode object ? restorer.upcast(version, object) : tree(state);
    }

    private @Nullable JsonNode tree(@Nullable String state) {
        return state == null ? null : json.readTree(state);
    }

    private @Nullable String write(@Nullable JsonNode state) {
        return state == null ? null : json.writeValueAsString(state);
    }
}
