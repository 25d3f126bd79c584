package org.squallnote.store.outbox;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;

/** The outbox. */
@Mapper
public interface OutboxStore {

    void insert(OutboxEntry entry);

    List<OutboxEntry> due(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId, @Param("now") Instant now);

    Optional<Instant> nextDue(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId);

    List<OutboxEntry> underWay(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId);

    Optional<OutboxEntry> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /**
     * Whether something of the same kind about the same thing was put in later, and still counts.
     *
     * @param about how the identities of all about it begin
     */
    boolean isOvertaken(
            @Param("owner") UUID owner,
            @Param("sourceId") UUID sourceId,
            @Param("kind") OutboxKind kind,
            @Param("about") String about,
            @Param("id") UUID id);

    Optional<OutboxEntry> byIdentity(
            @Param("owner") UUID owner,
            @Param("sourceId") UUID sourceId,
            @Param("kind") OutboxKind kind,
            @Param("identity") String identity);

    /** Notes what became of it, for whoever takes it back. */
    int setPayload(@Param("owner") UUID owner, @Param("id") UUID id, @Param("payload") String payload);

    List<OutboxEntry> ofCommand(@Param("owner") UUID owner, @Param("commandId") UUID commandId);

    /** Whether something of a kind waits for its time, for a message. */
    int countWaiting(@Param("owner") UUID owner, @Param("messageId") UUID messageId, @Param("kind") OutboxKind kind);

    /** Empties what was sent before a moment; that it was sent stays known, so that it is not taken back. */
    int emptySent(@Param("owner") UUID owner, @Param("before") Instant before);

    /** Forgets what was done with drafts before a moment. */
    int forgetDrafts(@Param("owner") UUID owner, @Param("before") Instant before);

    /** What the user has to know of: on its way, failed or of unknown outcome. Drafts only when there is trouble. */
    List<OutboxEntry> unsettled(UUID owner);

    /**
     * Moves an entry on, only from the state it was seen in.
     *
     * @return zero when something else had moved it meanwhile
     */
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
