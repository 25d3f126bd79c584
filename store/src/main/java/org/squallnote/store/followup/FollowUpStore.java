package org.squallnote.store.followup;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpOrigin;

/** Follow-ups. */
@Mapper
public interface FollowUpStore {

    @Select("select * from follow_up where owner = #{owner} and id = #{id}")
    @ResultMap("org.squallnote.core.followup.FollowUp")
    Optional<FollowUp> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    @Select("select * from follow_up where owner = #{owner} and state = 'OPEN'"
            + " order by reply_day nulls last, reply_time nulls last, created_at")
    @ResultMap("org.squallnote.core.followup.FollowUp")
    List<FollowUp> open(UUID owner);

    @Select("select * from follow_up where owner = #{owner} and state <> 'OPEN' and ended_at >= #{since}"
            + " order by ended_at desc fetch first 200 rows only")
    @ResultMap("org.squallnote.core.followup.FollowUp")
    List<FollowUp> endedSince(@Param("owner") UUID owner, @Param("since") Instant since);

    @Select("select * from follow_up where owner = #{owner} and category_id = #{categoryId}")
    @ResultMap("org.squallnote.core.followup.FollowUp")
    List<FollowUp> inCategory(@Param("owner") UUID owner, @Param("categoryId") UUID categoryId);

    /** Open follow-ups made from messages of a thread that were sent before a moment. */
    @Select("select f.* from follow_up f where f.owner = #{owner} and f.state = 'OPEN' and exists (select 1 from"
            + " follow_up_message l join message m on m.id = l.message_id where l.follow_up_id = f.id"
            + " and m.thread_id = #{threadId} and m.sent_at < #{before}) order by f.created_at")
    @ResultMap("org.squallnote.core.followup.FollowUp")
    List<FollowUp> openInThread(
            @Param("owner") UUID owner, @Param("threadId") UUID threadId, @Param("before") Instant before);

    @Insert(
            "insert into follow_up (id, owner, title, category_id, reply_day, reply_time, firm, effort_minutes, for_reply,"
                    + " start_day, place, people, checklist, note, answer_seen, state, created_at, ended_at, version) values (#{id}, #{owner}, #{title}, #{categoryId}, #{replyDay},"
                    + " #{replyTime}, #{firm}, #{effortMinutes}, #{forReply}, #{startDay}, #{place}, #{people}, #{checklist}, #{note}, #{answerSeen}, #{state}, #{createdAt}, #{endedAt}, #{version})")
    void insert(FollowUp followUp);

    @Update("update follow_up set title = #{title}, category_id = #{categoryId}, reply_day = #{replyDay},"
            + " reply_time = #{replyTime}, firm = #{firm}, effort_minutes = #{effortMinutes}, for_reply = #{forReply}, start_day = #{startDay}, place = #{place}, people = #{people}, checklist = #{checklist}, note = #{note}, answer_seen = #{answerSeen}, state = #{state},"
            + " ended_at = #{endedAt}, version = version + 1 where owner = #{owner} and id = #{id}"
            + " and version = #{version}")
    int update(FollowUp followUp);

    @Delete("delete from follow_up where owner = #{owner} and id = #{id}")
    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    @Insert(
            "insert into follow_up_message (follow_up_id, message_id, owner, linked_at, sentence, snapshot) values"
                    + " (#{link.followUpId}, #{link.messageId}, #{owner}, #{link.linkedAt}, #{link.sentence}, #{link.snapshot})")
    void insertLink(@Param("owner") UUID owner, @Param("link") FollowUpLink link);

    @Delete("delete from follow_up_message where owner = #{owner} and follow_up_id = #{followUpId}")
    int deleteLinks(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    @Select(
            "select follow_up_id, message_id, linked_at, sentence, snapshot from follow_up_message where owner = #{owner}"
                    + " and follow_up_id = #{followUpId} order by linked_at")
    @ResultMap("org.squallnote.core.followup.FollowUpLink")
    List<FollowUpLink> links(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    @Select("select f.* from follow_up f join follow_up_message l on l.follow_up_id = f.id where l.owner = #{owner}"
            + " and l.message_id = #{messageId} order by f.created_at")
    @ResultMap("org.squallnote.core.followup.FollowUp")
    List<FollowUp> ofMessage(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** The follow-ups of all messages of a thread. */
    @Select("select distinct f.* from message m join follow_up_message l on l.owner = m.owner and l.message_id = m.id"
            + " join follow_up f on f.id = l.follow_up_id where m.owner = #{owner} and m.thread_id = #{threadId}"
            + " order by f.created_at")
    @ResultMap("org.squallnote.core.followup.FollowUp")
    List<FollowUp> ofThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    /** Open follow-ups with the message and writer they came from, for the list. */
    @Select("select l.follow_up_id, l.message_id, m.thread_id, m.from_name, m.from_address, m.channel from"
            + " follow_up_message l join message m on m.id = l.message_id join follow_up f on f.id = l.follow_up_id"
            + " where l.owner = #{owner} and (f.state = 'OPEN' or f.ended_at >= #{since}) order by l.linked_at")
    List<FollowUpOrigin> origins(@Param("owner") UUID owner, @Param("since") Instant since);

    /** The messages and writers that one follow-up came from. */
    @Select("select l.follow_up_id, l.message_id, m.thread_id, m.from_name, m.from_address, m.channel from"
            + " follow_up_message l join message m on m.id = l.message_id where l.owner = #{owner}"
            + " and l.follow_up_id = #{followUpId} order by l.linked_at")
    List<FollowUpOrigin> originsOf(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);
}
