package org.squallnote.server.command;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.live.Topic;
import tools.jackson.databind.json.JsonMapper;

/**
 * Something small that is kept whole in the history: as it was before a change and after it. Undo writes what was before.
 *
 * @param <S> its state
 */
public abstract class KeptState<S> implements Restorer {

    private final SubjectType type;
    private final Class<S> kind;
    private final JsonMapper json;

    /** Of one type of row. */
    protected KeptState(SubjectType type, Class<S> kind, JsonMapper json) {
        this.type = type;
        this.kind = kind;
        this.json = json;
    }

    /** As it is now; null when it does not exist. */
    protected abstract @Nullable S state(UUID owner, UUID id);

    /** Puts it into a state; null takes it away. */
    protected abstract void write(UUID owner, UUID id, @Nullable S state);

    /** What open pages load again. */
    protected abstract Topic[] topics();

    /** Puts it into a state as part of a command. */
    public final void change(UUID owner, UUID id, @Nullable S to, Changes changes) {
        S before = state(owner, id);
        write(owner, id, to);
        changes.record(type, id, before, state(owner, id)).touch(topics());
    }

    @Override
    public final SubjectType type() {
        return type;
    }

    @Override
    public final @Nullable Object current(UUID owner, HistoryEntry entry) {
        return state(owner, entry.subjectId());
    }

    @Override
    public final void restore(UUID owner, HistoryEntry entry, Changes changes) {
        write(owner, entry.subjectId(), entry.before() == null ? null : json.readValue(entry.before(), kind));
        changes.touch(topics());
    }
}
