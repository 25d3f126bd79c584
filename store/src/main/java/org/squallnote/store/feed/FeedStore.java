package org.squallnote.store.feed;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.calendar.Feed;

/** Secret addresses of calendars that are given out. */
@Mapper
public interface FeedStore {

    Optional<Feed> of(UUID owner);

    /** Whoever knows the token speaks for its account, for this one calendar. */
    Optional<Feed> byToken(@Param("tokenHash") String tokenHash);

    void insert(Feed feed);

    int delete(UUID owner);
}
