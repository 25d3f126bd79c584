package org.squallnote.server.command;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import tools.jackson.databind.node.ObjectNode;

/** Knows how one kind of row is put back into an earlier state. */
public interface Restorer {

    /** The kind of row. */
    SubjectType type();

    /** The state now of the entry's row, in the same form as it stands in the history; null when it does not exist. */
    @Nullable
    Object current(UUID owner, HistoryEntry entry);

    /** A state that was written in an earlier form, in today's. */
    default ObjectNode upcast(int version, ObjectNode state) {
        return state;
    }

    /**
     * Puts the entry's row into the state before the entry; takes it away when there was none. Both states of the entry
     * are whole here, with what has changed since and was not touched by the change.
     */
    void restore(UUID owner, HistoryEntry entry, Changes changes);
}
