package org.squallnote.store.reading;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.StoredFacts;

/** Readings. */
@Mapper
public interface ReadingStore {

    int update(
            @Param("owner") UUID owner,
            @Param("messageId") UUID messageId,
            @Param("version") String version,
            @Param("facts") Facts facts);

    /** Keeps the facts of a message that has just been stored. */
    void insert(
            @Param("owner") UUID owner,
            @Param("messageId") UUID messageId,
            @Param("version") String version,
            @Param("facts") Facts facts);

    default void save(UUID owner, UUID messageId, String version, Facts facts) {
        if (update(owner, messageId, version, facts) == 0) {
            insert(owner, messageId, version, facts);
        }
    }

    List<StoredFacts> inThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    Optional<StoredFacts> of(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** Messages that were read by another engine or with another calendar. */
    List<UUID> outdated(@Param("owner") UUID owner, @Param("version") String version, @Param("most") int most);

    int countOutdated(@Param("owner") UUID owner, @Param("version") String version);
}
