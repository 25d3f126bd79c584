package org.squallnote.store.draft;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.draft.Draft;

/** Drafts, at most one a message. */
@Mapper
public interface DraftStore {

    @Select("select * from draft where owner = #{owner} and message_id = #{messageId}")
    Optional<Draft> of(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    @Update("merge into draft (owner, message_id, text, to_all, copies, hidden, saved_at) key (owner, message_id)"
            + " values (#{owner}, #{messageId}, #{text}, #{toAll}, #{copies}, #{hidden}, #{savedAt})")
    void save(Draft draft);

    @Delete("delete from draft where owner = #{owner} and message_id = #{messageId}")
    int delete(@Param("owner") UUID owner, @Param("messageId") UUID messageId);
}
