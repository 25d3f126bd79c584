package org.squallnote.store.thread;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.TurnCount;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;

/** Threads. */
@Mapper
public interface ThreadStore {

    Optional<StoredThread> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Threads by whose turn it is: with me by when I owe it, with others by when they are to be chased, closed ones the last closed first, else the longest silence first. */
    List<StoredThread> byTurn(
            @Param("owner") UUID owner, @Param("turn") Turn turn, @Param("offset") int offset, @Param("most") int most);

    /** How many threads there are with each; without those that nobody has. */
    List<TurnCount> counts(UUID owner);

    List<UUID> allIds(UUID owner);

    void insert(StoredThread thread);

    /** Writes what is derived from the messages. */
    void updateDerived(StoredThread thread);

    /** Writes a decision made by hand, or takes it away where all parts are null. */
    void setHandDecision(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("turn") @Nullable Turn turn,
            @Param("reason") @Nullable CloseReason reason,
            @Param("at") @Nullable Instant at,
            @Param("lastKnown") @Nullable Instant lastKnown);

    /** Removes a thread whose messages have all gone to another one. */
    int deleteEmpty(@Param("owner") UUID owner, @Param("id") UUID id);
}
