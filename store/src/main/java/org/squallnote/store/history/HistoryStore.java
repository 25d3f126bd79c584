package org.squallnote.store.history;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.history.ChangeOfDay;
import org.squallnote.core.history.Command;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.HistoryLine;
import org.squallnote.core.history.SubjectType;

/**
 * The history, which nothing rewrites but to forget what its writer has taken back; that a command was undone is marked
 * on it.
 */
@Mapper
public interface HistoryStore {

    void insertCommand(Command command);

    void setLabel(@Param("owner") UUID owner, @Param("id") UUID id, @Param("label") String label);

    /** Puts other words in place of those of changes. */
    int relabel(@Param("owner") UUID owner, @Param("commands") List<UUID> commands, @Param("label") String label);

    /** The changes by which others were taken back. */
    List<UUID> undoneBy(@Param("owner") UUID owner, @Param("commands") List<UUID> commands);

    /** What changes have made that was not there before. */
    List<UUID> madeBy(
            @Param("owner") UUID owner, @Param("commands") List<UUID> commands, @Param("type") SubjectType type);

    int markUndone(@Param("owner") UUID owner, @Param("id") UUID id, @Param("undoneBy") UUID undoneBy);

    /** The last change that somebody has made since a moment and that was not taken back. */
    Optional<Command> lastBy(@Param("owner") UUID owner, @Param("actor") String actor, @Param("since") Instant since);

    /** What was changed from one moment to another and is no undo itself, the newest first; at most as many as said. */
    List<ChangeOfDay> between(
            @Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to, @Param("most") int most);

    Optional<Command> command(@Param("owner") UUID owner, @Param("id") UUID id);

    void insert(HistoryEntry entry);

    List<HistoryEntry> ofCommand(@Param("owner") UUID owner, @Param("commandId") UUID commandId);

    /** All that became of something, the oldest first. */
    List<HistoryEntry> entriesOf(
            @Param("owner") UUID owner, @Param("type") SubjectType type, @Param("subjectId") UUID subjectId);

    /** Writes the states of an entry again, without words that were taken back. */
    int rewrite(HistoryEntry entry);

    List<HistoryLine> ofSubject(@Param("owner") UUID owner, @Param("subjectId") UUID subjectId);

    /** The kind of the command that changed something last. */
    Optional<String> lastKindOf(
            @Param("owner") UUID owner, @Param("type") SubjectType type, @Param("subjectId") UUID subjectId);
}
