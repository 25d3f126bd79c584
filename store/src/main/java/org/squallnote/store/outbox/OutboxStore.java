package org.squallnote.store.outbox;

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
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;

/** The outbox. */
@Mapper
public interface OutboxStore {

    @Insert("insert into outbox (id, owner, source_id, command_id, kind, identity, message_id, payload, state,"
            + " not_before, attempts, last_error, created_at, finished_at) values (#{id}, #{owner}, #{sourceId},"
            + " #{commandId}, #{kind}, #{identity}, #{messageId}, #{payload}, #{state}, #{notBefore}, #{attempts},"
            + " #{lastError}, #{createdAt}, #{finishedAt})")
    void insert(OutboxEntry entry);

    @Select("select * from outbox where owner = #{owner} and source_id = #{sourceId} and state = 'WAITING'"
            + " and not_before <= #{now} order by created_at, id fetch first 20 rows only")
    List<OutboxEntry> due(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId, @Param("now") Instant now);

    @Select("select min(not_before) from outbox where owner = #{owner} and source_id = #{sourceId}"
            + " and state = 'WAITING'")
    Optional<Instant> nextDue(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId);

    @Select("select * from outbox where owner = #{owner} and source_id = #{sourceId} and state = 'UNDER_WAY'"
            + " order by created_at, id")
    List<OutboxEntry> underWay(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId);

    @Select("select * from outbox where owner = #{owner} and id = #{id}")
    Optional<OutboxEntry> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    @Select("select * from outbox where owner = #{owner} and source_id = #{sourceId} and kind = #{kind}"
            + " and identity = #{identity}")
    Optional<OutboxEntry> byIdentity(
            @Param("owner") UUID owner,
            @Param("sourceId") UUID sourceId,
            @Param("kind") OutboxKind kind,
            @Param("identity") String identity);

    /** Notes what became of it, for whoever takes it back. */
    @Update("update outbox set payload = #{payload} where owner = #{owner} and id = #{id}")
    int setPayload(@Param("owner") UUID owner, @Param("id") UUID id, @Param("payload") String payload);

    @Select("select * from outbox where owner = #{owner} and command_id = #{commandId}")
    List<OutboxEntry> ofCommand(@Param("owner") UUID owner, @Param("commandId") UUID commandId);

    /** Whether something of a kind waits for its time, for a message. */
    @Select("select count(*) from outbox where owner = #{owner} and message_id = #{messageId} and kind = #{kind}"
            + " and state = 'WAITING'")
    int countWaiting(@Param("owner") UUID owner, @Param("messageId") UUID messageId, @Param("kind") OutboxKind kind);

    /** Empties what was sent before a moment; that it was sent stays known, so that it is not taken back. */
    @Update("update outbox set payload = '{}' where owner = #{owner} and state = 'DONE' and finished_at < #{before}"
            + " and kind in ('SEND_MAIL', 'APPEND_SENT', 'SEND_CHAT') and payload <> '{}'")
    int emptySent(@Param("owner") UUID owner, @Param("before") Instant before);

    /** Forgets what was done with drafts before a moment. */
    @Delete("delete from outbox where owner = #{owner} and state in ('DONE', 'CANCELLED') and finished_at < #{before}"
            + " and kind in ('KEEP_DRAFT', 'FORGET_DRAFT')")
    int forgetDrafts(@Param("owner") UUID owner, @Param("before") Instant before);

    /** What the user has to know of: on its way, failed or of unknown outcome. Drafts only when there is trouble. */
    @Select("select outbox.* from outbox join (values ('WAITING'), ('UNDER_WAY'), ('FAILED'), ('UNCERTAIN')) as"
            + " unsettled (unsettled_state) on state = unsettled_state where owner = #{owner}"
            + " and not (kind in ('KEEP_DRAFT', 'FORGET_DRAFT') and attempts = 0)"
            + " order by created_at fetch first 100 rows only")
    List<OutboxEntry> unsettled(UUID owner);

    /**
     * Moves an entry on, only from the state it was seen in.
     *
     * @return zero when something else had moved it meanwhile
     */
    @Update("update outbox set state = #{to}, attempts = #{attempts}, last_error = #{error}, not_before = #{notBefore},"
            + " finished_at = case when #{to} in ('DONE', 'FAILED', 'CANCELLED') then #{now} end"
            + " where owner = #{owner} and id = #{id} and state = #{from}")
    int move(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("from") OutboxState from,
            @Param("to") OutboxState to,
            @Param("attempts") int attempts,
            @Param("error") String error,
            @Param("notBefore") Instant notBefore,
            @Param("now") Instant now);
}
