package org.squallnote.store.history;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.history.Command;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.HistoryLine;

/** The history, which nothing rewrites; only that a command was undone is marked on it. */
@Mapper
public interface HistoryStore {

    @Insert("insert into command (id, owner, kind, label, done_at, undone_by, undo_of) values (#{id}, #{owner},"
            + " #{kind}, #{label}, #{doneAt}, #{undoneBy}, #{undoOf})")
    void insertCommand(Command command);

    @Update("update command set label = #{label} where owner = #{owner} and id = #{id}")
    void setLabel(@Param("owner") UUID owner, @Param("id") UUID id, @Param("label") String label);

    @Update("update command set undone_by = #{undoneBy} where owner = #{owner} and id = #{id} and undone_by is null")
    int markUndone(@Param("owner") UUID owner, @Param("id") UUID id, @Param("undoneBy") UUID undoneBy);

    @Select("select * from command where owner = #{owner} and id = #{id}")
    Optional<Command> command(@Param("owner") UUID owner, @Param("id") UUID id);

    @Insert(
            "insert into history (id, owner, command_id, step, subject_type, subject_id, actor, at, state_version, before_state,"
                    + " after_state) values (#{id}, #{owner}, #{commandId}, #{step}, #{subjectType}, #{subjectId}, #{actor},"
                    + " #{at}, #{version}, #{before}, #{after})")
    void insert(HistoryEntry entry);

    @Select(
            "select id, owner, command_id, step, subject_type, subject_id, actor, at, state_version as version, before_state as before,"
                    + " after_state as after from history where owner = #{owner} and command_id = #{commandId} order by step")
    @ResultMap("org.squallnote.core.history.HistoryEntry")
    List<HistoryEntry> ofCommand(@Param("owner") UUID owner, @Param("commandId") UUID commandId);

    @Select("select h.command_id, h.at, h.actor, c.label, h.before_state as before, h.after_state as after,"
            + " c.undone_by is not null as undone from history h join command c on c.id = h.command_id"
            + " where h.owner = #{owner} and h.subject_id = #{subjectId} order by h.at desc, h.id desc"
            + " fetch first 200 rows only")
    List<HistoryLine> ofSubject(@Param("owner") UUID owner, @Param("subjectId") UUID subjectId);
}
