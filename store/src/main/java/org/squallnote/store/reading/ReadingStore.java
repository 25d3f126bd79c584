package org.squallnote.store.reading;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.StoredFacts;

/** Readings. */
@Mapper
public interface ReadingStore {

    @Update("merge into reading (message_id, owner, version, facts) key (message_id)"
            + " values (#{messageId}, #{owner}, #{version}, #{facts})")
    void save(
            @Param("owner") UUID owner,
            @Param("messageId") UUID messageId,
            @Param("version") String version,
            @Param("facts") Facts facts);

    /** Keeps the facts of a message that has just been stored; a merge would cost twice as much. */
    @Insert(
            "insert into reading (message_id, owner, version, facts) values (#{messageId}, #{owner}, #{version}, #{facts})")
    void insert(
            @Param("owner") UUID owner,
            @Param("messageId") UUID messageId,
            @Param("version") String version,
            @Param("facts") Facts facts);

    @Select("select r.message_id, r.facts from reading r join message m on m.id = r.message_id"
            + " where m.owner = #{owner} and m.thread_id = #{threadId}")
    List<StoredFacts> inThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    @Select("select message_id, facts from reading where owner = #{owner} and message_id = #{messageId}")
    Optional<StoredFacts> of(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** Messages that were read by another engine or with another calendar. */
    @Select("select message_id from reading where owner = #{owner} and version <> #{version}"
            + " fetch first #{most} rows only")
    List<UUID> outdated(@Param("owner") UUID owner, @Param("version") String version, @Param("most") int most);

    @Select("select count(*) from reading where owner = #{owner} and version <> #{version}")
    int countOutdated(@Param("owner") UUID owner, @Param("version") String version);
}
