package org.squallnote.store.event;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.event.Event;

/** What happened in accounts, by numbers that grow. */
@Mapper
public interface EventStore {

    /** Writes one down; its number is given by the database. */
    void insert(Event event);

    /** Those after a number, in their order. */
    List<Event> after(@Param("owner") UUID owner, @Param("seq") long seq, @Param("most") int most);

    /** The number of the last one. */
    Optional<Long> last(UUID owner);

    /** Puts other words in place of those of a message. */
    int relabel(@Param("owner") UUID owner, @Param("messageId") UUID messageId, @Param("label") String label);

    /** Puts other words in place of those of changes. */
    int relabelChanges(
            @Param("owner") UUID owner, @Param("commands") List<UUID> commands, @Param("label") String label);

    /** Forgets what happened before a moment. */
    int forget(@Param("owner") UUID owner, @Param("before") Instant before);
}
