package org.squallnote.store.source;

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
import org.squallnote.core.source.ChatGap;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.source.Cursor;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceStatus;

/** Sources and their cursors. */
@Mapper
public interface SourceStore {

    /** The connected sources of all accounts, for the engine that keeps them in step. */
    @Select("select * from source where removed_at is null and address <> '' order by added_at")
    List<Source> connected();

    @Select("select * from source where owner = #{owner} and removed_at is null order by added_at")
    List<Source> of(UUID owner);

    @Select("select * from source where owner = #{owner} and id = #{id}")
    Optional<Source> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** All addresses that are mine, of disconnected sources too. */
    @Select("select distinct address from source where owner = #{owner} and address <> ''")
    List<String> addresses(UUID owner);

    @Insert(
            "insert into source (id, owner, channel, name, address, settings, secret, days_back, archive_rule, added_at,"
                    + " status, status_text, progress_done, progress_total, removed_at, version) values (#{id}, #{owner},"
                    + " #{channel}, #{name}, #{address}, #{settings}, #{secret}, #{daysBack}, #{archiveRule}, #{addedAt},"
                    + " #{status}, #{statusText}, #{progressDone}, #{progressTotal}, #{removedAt}, #{version})")
    void insert(Source source);

    @Update("update source set name = #{name}, address = #{address}, settings = #{settings}, secret = #{secret},"
            + " days_back = #{daysBack}, archive_rule = #{archiveRule}, removed_at = #{removedAt},"
            + " version = version + 1 where owner = #{owner} and id = #{id} and version = #{version}")
    int update(Source source);

    @Update("update source set status = #{status}, status_text = #{text}, progress_done = #{done},"
            + " progress_total = #{total} where owner = #{owner} and id = #{id}")
    void setStatus(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("status") SourceStatus status,
            @Param("text") String text,
            @Param("done") int done,
            @Param("total") int total);

    @Select("select scope, uid_validity, token from source_cursor where owner = #{owner} and source_id = #{id}"
            + " and scope = #{scope}")
    Optional<Cursor> cursor(@Param("owner") UUID owner, @Param("id") UUID id, @Param("scope") String scope);

    @Update("merge into source_cursor (source_id, scope, owner, uid_validity, token) key (source_id, scope)"
            + " values (#{id}, #{cursor.scope}, #{owner}, #{cursor.uidValidity}, #{cursor.token})")
    void saveCursor(@Param("owner") UUID owner, @Param("id") UUID id, @Param("cursor") Cursor cursor);

    @Select("select room_id, token from chat_gap where owner = #{owner} and source_id = #{id}")
    List<ChatGap> gaps(@Param("owner") UUID owner, @Param("id") UUID id);

    @Update("merge into chat_gap (source_id, room_id, token, owner) key (source_id, room_id, token)"
            + " values (#{id}, #{gap.roomId}, #{gap.token}, #{owner})")
    void saveGap(@Param("owner") UUID owner, @Param("id") UUID id, @Param("gap") ChatGap gap);

    @Delete("delete from chat_gap where owner = #{owner} and source_id = #{id} and room_id = #{gap.roomId}"
            + " and token = #{gap.token}")
    void deleteGap(@Param("owner") UUID owner, @Param("id") UUID id, @Param("gap") ChatGap gap);

    @Select("select room_id, name, direct, members from chat_room where owner = #{owner} and source_id = #{id}")
    List<ChatRoom> rooms(@Param("owner") UUID owner, @Param("id") UUID id);

    @Select("select room_id, name, direct, members from chat_room where owner = #{owner}")
    List<ChatRoom> allRooms(UUID owner);

    @Select("select room_id, name, direct, members from chat_room where owner = #{owner} and room_id = #{roomId}"
            + " fetch first row only")
    Optional<ChatRoom> room(@Param("owner") UUID owner, @Param("roomId") String roomId);

    @Update("merge into chat_room (source_id, room_id, owner, name, direct, members) key (source_id, room_id)"
            + " values (#{id}, #{room.roomId}, #{owner}, #{room.name}, #{room.direct}, #{room.members})")
    void saveRoom(@Param("owner") UUID owner, @Param("id") UUID id, @Param("room") ChatRoom room);

    /** The moment the source was added, for deciding what comes to Intake. */
    @Select("select added_at from source where owner = #{owner} and id = #{id}")
    Instant addedAt(@Param("owner") UUID owner, @Param("id") UUID id);
}
