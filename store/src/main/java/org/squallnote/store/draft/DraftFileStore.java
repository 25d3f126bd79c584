package org.squallnote.store.draft;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.draft.DraftFile;

/** The files of drafts. */
@Mapper
public interface DraftFileStore {

    /** What a draft will carry. */
    @Select("select * from draft_file where owner = #{owner} and message_id = #{messageId} and sent_by is null"
            + " order by added_at, id")
    List<DraftFile> waiting(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** How many bytes a draft carries already. */
    @Select("select coalesce(sum(size), 0) from draft_file where owner = #{owner} and message_id = #{messageId}"
            + " and sent_by is null")
    long bytesWaiting(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    @Insert("insert into draft_file (id, owner, message_id, name, type, size, content, sent_by, added_at) values"
            + " (#{id}, #{owner}, #{messageId}, #{name}, #{type}, #{size}, #{content}, #{sentBy}, #{addedAt})")
    void insert(DraftFile file);

    @Delete("delete from draft_file where owner = #{owner} and message_id = #{messageId} and id = #{id}"
            + " and sent_by is null")
    int delete(@Param("owner") UUID owner, @Param("messageId") UUID messageId, @Param("id") UUID id);

    /** Notes that the waiting files went with a command, or wait again. */
    @Update("update draft_file set sent_by = #{to,jdbcType=OTHER} where owner = #{owner} and message_id = #{messageId}"
            + " and sent_by is not distinct from #{from,jdbcType=OTHER}")
    int move(
            @Param("owner") UUID owner,
            @Param("messageId") UUID messageId,
            @Param("from") @Nullable UUID from,
            @Param("to") @Nullable UUID to);

    /** Forgets those that were sent so long ago that nothing can be taken back. */
    @Delete("delete from draft_file where owner = #{owner} and sent_by is not null and added_at < #{before}")
    int forgetSent(@Param("owner") UUID owner, @Param("before") Instant before);
}
