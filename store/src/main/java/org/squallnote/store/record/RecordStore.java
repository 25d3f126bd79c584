package org.squallnote.store.record;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.record.Deadline;
import org.squallnote.core.record.EndedBy;
import org.squallnote.core.record.EndedOrigin;
import org.squallnote.core.record.RecordNote;
import org.squallnote.core.record.UndoneChange;
import org.squallnote.core.thread.StoredThread;

/** What has ended, newest first. */
@Mapper
public interface RecordStore {

    /**
     * Some that have ended.
     *
     * @param addresses from one of which it was asked; nothing for all
     * @param before of what ended at one moment the id decides
     */
    List<FollowUp> ended(
            @Param("owner") UUID owner,
            @Param("fromInclusive") @Nullable Instant fromInclusive,
            @Param("toExclusive") @Nullable Instant toExclusive,
            @Param("categoryId") @Nullable UUID categoryId,
            @Param("state") @Nullable FollowUpState state,
            @Param("addresses") List<String> addresses,
            @Param("before") Instant before,
            @Param("beforeId") UUID beforeId,
            @Param("most") int most);

    /** Of the same as much as says whether each was in time; only what had a date. */
    List<Deadline> deadlines(
            @Param("owner") UUID owner,
            @Param("fromInclusive") @Nullable Instant fromInclusive,
            @Param("toExclusive") @Nullable Instant toExclusive,
            @Param("categoryId") @Nullable UUID categoryId,
            @Param("state") @Nullable FollowUpState state,
            @Param("addresses") List<String> addresses,
            @Param("before") Instant before,
            @Param("beforeId") UUID beforeId,
            @Param("most") int most);

    /**
     * Threads that were closed, the last closed first.
     *
     * @param addresses who wrote in them; nothing for all
     * @param before of what was closed at one moment the id decides
     */
    List<StoredThread> closed(
            @Param("owner") UUID owner,
            @Param("fromInclusive") @Nullable Instant fromInclusive,
            @Param("toExclusive") @Nullable Instant toExclusive,
            @Param("addresses") List<String> addresses,
            @Param("before") Instant before,
            @Param("beforeId") UUID beforeId,
            @Param("most") int most);

    /** Changes of follow-ups and threads that were made in some time and taken back, the newest first. */
    default List<UndoneChange> undone(UUID owner, Instant fromInclusive, Instant toExclusive, int most) {
        return undoneAbove(owner, new UUID(0, 0), fromInclusive, toExclusive, most);
    }

    /** @param lowest than no id is lower: so what was taken back is found by its index, which knows no "not null" */
    List<UndoneChange> undoneAbove(
            @Param("owner") UUID owner,
            @Param("lowest") UUID lowest,
            @Param("fromInclusive") Instant fromInclusive,
            @Param("toExclusive") Instant toExclusive,
            @Param("most") int most);

    /** The messages that some came from, each's first first. */
    List<EndedOrigin> origins(@Param("owner") UUID owner, @Param("followUpIds") Collection<UUID> followUpIds);

    /** By whom each of some was changed last. */
    List<EndedBy> endedBy(@Param("owner") UUID owner, @Param("followUpIds") Collection<UUID> followUpIds);

    List<RecordNote> notes(@Param("owner") UUID owner, @Param("followUpIds") Collection<UUID> followUpIds);

    Optional<RecordNote> note(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    void insertNote(@Param("owner") UUID owner, @Param("n") RecordNote note);

    int deleteNote(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);
}
