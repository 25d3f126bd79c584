package org.squallnote.store.thread;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;

/** Threads. */
@Mapper
public interface ThreadStore {

    @Select("select * from thread where owner = #{owner} and id = #{id}")
    Optional<StoredThread> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Threads by whose turn it is; the longest silence first, closed ones the last closed first. */
    @Select("<script>select * from thread where owner = #{owner} and turn = #{turn} order by"
            + " <choose><when test=\"turn.name() == 'CLOSED'\">since desc</when><otherwise>since</otherwise></choose>, id"
            + " offset #{offset} rows fetch first #{most} rows only</script>")
    List<StoredThread> byTurn(
            @Param("owner") UUID owner, @Param("turn") Turn turn, @Param("offset") int offset, @Param("most") int most);

    @Select("select count(*) from thread where owner = #{owner} and turn = #{turn}")
    int count(@Param("owner") UUID owner, @Param("turn") Turn turn);

    @Select("select id from thread where owner = #{owner}")
    List<UUID> allIds(UUID owner);

    @Insert(
            "insert into thread (id, owner, channel, subject, room_id, turn, since, by_message, debts, awaited, reopened_by,"
                    + " last_message_at, message_count, hand_turn, hand_reason, hand_at, hand_last_known, version) values (#{id},"
                    + " #{owner}, #{channel}, #{subject}, #{roomId}, #{turn}, #{since}, #{byMessage}, #{debts}, #{awaited}, #{reopenedBy},"
                    + " #{lastMessageAt}, #{messageCount}, #{handTurn}, #{handReason}, #{handAt}, #{handLastKnown}, #{version})")
    void insert(StoredThread thread);

    /** Writes what is derived from the messages. */
    @Update("update thread set subject = #{subject}, turn = #{turn}, since = #{since}, by_message = #{byMessage},"
            + " debts = #{debts}, awaited = #{awaited}, reopened_by = #{reopenedBy}, last_message_at = #{lastMessageAt},"
            + " message_count = #{messageCount}, version = version + 1 where owner = #{owner} and id = #{id}")
    void updateDerived(StoredThread thread);

    /** Writes a decision made by hand, or takes it away where all parts are null. */
    @Update("update thread set hand_turn = #{turn}, hand_reason = #{reason}, hand_at = #{at},"
            + " hand_last_known = #{lastKnown}, version = version + 1 where owner = #{owner} and id = #{id}")
    void setHandDecision(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("turn") @Nullable Turn turn,
            @Param("reason") @Nullable CloseReason reason,
            @Param("at") @Nullable Instant at,
            @Param("lastKnown") @Nullable Instant lastKnown);

    /** Removes a thread whose messages have all gone to another one. */
    @Delete("delete from thread where owner = #{owner} and id = #{id} and not exists"
            + " (select 1 from message m where m.owner = #{owner} and m.thread_id = #{id})")
    int deleteEmpty(@Param("owner") UUID owner, @Param("id") UUID id);
}
