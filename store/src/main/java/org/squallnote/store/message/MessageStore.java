package org.squallnote.store.message;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collection;
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
import org.jspecify.annotations.Nullable;
import org.squallnote.core.intake.IntakeCount;
import org.squallnote.core.intake.IntakeKind;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.ChatChange;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Found;
import org.squallnote.core.message.LinkRow;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Place;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;

/** Messages. */
@Mapper
public interface MessageStore {

    /** The columns that threading and turn read. */
    String THREADING = "select id, source_id, channel, direction, nature, from_name, from_address, recipients, subject,"
            + " sent_at, message_id, refs, room_id, answers, component, thread_id, decision, asks_me,"
            + " list_address from message ";

    /** What the list of Intake shows. */
    String INTAKE = "select id, thread_id, source_id, channel, nature, from_name, from_address, subject,"
            + " substring(body from 1 for 240) as beginning, asks_me, ask, sent_at, room_id, list_address, reply_day,"
            + " reply_time, reply_firm, files != '{\"list\":[]}' as has_files, put_off_until, version from message ";

    @Insert("insert into message (id, owner, source_id, channel, identity, direction, nature, from_name, from_address,"
            + " recipients, subject, base_subject, sent_at, received_at, body, asks_me, ask, has_html, files, notices,"
            + " message_id, refs, room_id, answers, component, thread_id, decision, decided_at, put_off_until, mentions,"
            + " list_address, reply_day, reply_time, reply_firm, correction, edited, removed, version, wanted_by)"
            + " values (#{m.id}, #{m.owner}, #{m.sourceId}, #{m.channel}, #{m.identity}, #{m.direction}, #{m.nature}, #{m.fromName},"
            + " #{m.fromAddress}, #{m.recipients}, #{m.subject}, #{m.baseSubject}, #{m.sentAt}, #{m.receivedAt}, #{m.body}, #{m.asksMe},"
            + " #{m.ask}, #{m.hasHtml}, #{m.files}, #{m.notices}, #{m.messageId}, #{m.refs}, #{m.roomId}, #{m.answers}, #{m.component},"
            + " #{m.threadId}, #{m.decision}, #{m.decidedAt}, #{m.putOffUntil}, #{m.mentions}, #{m.listAddress}, #{m.replyDay}, #{m.replyTime}, #{m.replyFirm},"
            + " #{m.correction}, #{m.edited}, #{m.removed}, #{m.version}, #{wantedBy})")
    void insert(@Param("m") StoredMessage message, @Param("wantedBy") @Nullable LocalDateTime wantedBy);

    @Select("select * from message where owner = #{owner} and id = #{id}")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    Optional<StoredMessage> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Several messages, in no order. */
    @Select("<script>select * from message where owner = #{owner} and id in <foreach collection='ids' item='id'"
            + " open='(' separator=',' close=')'>#{id}</foreach></script>")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    List<StoredMessage> byIds(@Param("owner") UUID owner, @Param("ids") Collection<UUID> ids);

    @Select("select * from message where owner = #{owner} and identity = #{identity}")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    Optional<StoredMessage> byIdentity(@Param("owner") UUID owner, @Param("identity") String identity);

    @Select("select id from message where owner = #{owner} and identity = #{identity}")
    Optional<UUID> idOf(@Param("owner") UUID owner, @Param("identity") String identity);

    /** How many messages of mine have this Message-ID or event id. */
    @Select("select count(*) from message where owner = #{owner} and message_id = #{messageId}"
            + " and direction = 'OUTGOING'")
    int countMine(@Param("owner") UUID owner, @Param("messageId") String messageId);

    /** The messages of a thread in the order sent; at most the newest thousand. */
    @Select("select * from (select * from message where owner = #{owner} and thread_id = #{threadId}"
            + " order by sent_at desc fetch first 1000 rows only) order by sent_at, id")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    List<StoredMessage> inThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    @Select(THREADING + "where owner = #{owner} and thread_id = #{threadId} order by sent_at, id")
    @ResultMap("org.squallnote.core.message.ThreadingRow")
    List<ThreadingRow> threadingInThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    /** For the traces of many threads in one query; joined, since a list of values would not be looked up by an index. */
    @Select("<script>" + THREADING
            + "join (values <foreach collection='threadIds' item='id' separator=','>(cast(#{id} as"
            + " uuid))</foreach>) as wanted (wanted_thread) on thread_id = wanted_thread where owner = #{owner}"
            + " order by sent_at, id</script>")
    @ResultMap("org.squallnote.core.message.ThreadingRow")
    List<ThreadingRow> threadingInThreads(@Param("owner") UUID owner, @Param("threadIds") Collection<UUID> threadIds);

    @Select(THREADING + "where owner = #{owner} and component = #{component} order by received_at, id")
    @ResultMap("org.squallnote.core.message.ThreadingRow")
    List<ThreadingRow> inComponent(@Param("owner") UUID owner, @Param("component") UUID component);

    @Select(THREADING + "where owner = #{owner} and room_id = #{roomId} and sent_at between #{from} and #{to}"
            + " order by sent_at, id")
    @ResultMap("org.squallnote.core.message.ThreadingRow")
    List<ThreadingRow> inRoom(
            @Param("owner") UUID owner,
            @Param("roomId") String roomId,
            @Param("from") Instant from,
            @Param("to") Instant to);

    /** Components of messages with this base subject sent in the given days; at most a hundred, the newest. */
    @Select("select component from message where owner = #{owner} and base_subject = #{baseSubject}"
            + " and sent_at between #{from} and #{to} order by sent_at desc fetch first 100 rows only")
    List<UUID> componentsBySubject(
            @Param("owner") UUID owner,
            @Param("baseSubject") String baseSubject,
            @Param("from") Instant from,
            @Param("to") Instant to);

    /**
     * Components of unlinked messages with this base subject, and something before it in their subject, sent in the
     * given days: replies that may have waited for the message they answer. At most a hundred, the oldest.
     */
    @Select("select component from message where owner = #{owner} and base_subject = #{baseSubject}"
            + " and sent_at between #{from} and #{to} and refs = '{\"list\":[]}' and lower(subject) <> base_subject"
            + " order by sent_at fetch first 100 rows only")
    List<UUID> componentsOfUnlinkedReplies(
            @Param("owner") UUID owner,
            @Param("baseSubject") String baseSubject,
            @Param("from") Instant from,
            @Param("to") Instant to);

    @Select("select identity, component from message_link where owner = #{owner} and identity = #{identity}")
    Optional<LinkRow> link(@Param("owner") UUID owner, @Param("identity") String identity);

    @Insert("insert into message_link (owner, identity, component) values (#{owner}, #{identity}, #{component})")
    void insertLink(@Param("owner") UUID owner, @Param("identity") String identity, @Param("component") UUID component);

    @Update("update message_link set component = #{into} where owner = #{owner} and component = #{component}")
    void moveLinks(@Param("owner") UUID owner, @Param("component") UUID component, @Param("into") UUID into);

    @Update("update message set component = #{into} where owner = #{owner} and component = #{component}")
    void moveComponent(@Param("owner") UUID owner, @Param("component") UUID component, @Param("into") UUID into);

    /** The thread of one message of a component. */
    @Select("select thread_id from message where owner = #{owner} and component = #{component}"
            + " fetch first row only")
    Optional<UUID> aThreadOf(@Param("owner") UUID owner, @Param("component") UUID component);

    @Update("update message set thread_id = #{threadId} where owner = #{owner} and id = #{id}")
    void setThread(@Param("owner") UUID owner, @Param("id") UUID id, @Param("threadId") UUID threadId);

    /** Decides a message; what was put off is no longer. */
    @Update("update message set decision = #{decision}, decided_at = #{at}, put_off_until = null, version = version + 1"
            + " where owner = #{owner} and id = #{id}")
    int decide(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("decision") Decision decision,
            @Param("at") @Nullable Instant at);

    /** Takes an undecided message out of Intake until a day; null brings it back. */
    @Update("update message set put_off_until = #{until}, version = version + 1 where owner = #{owner} and id = #{id}")
    int putOff(@Param("owner") UUID owner, @Param("id") UUID id, @Param("until") @Nullable LocalDate until);

    /** The new text of a chat message whose writer changed it. */
    @Update("update message set body = #{body}, edited = true, version = version + 1 where owner = #{owner}"
            + " and id = #{id} and removed = false")
    int edit(@Param("owner") UUID owner, @Param("id") UUID id, @Param("body") String body);

    /** What was found in a message, as far as lists show it. */
    @Update("update message set nature = #{f.nature}, asks_me = #{f.asksMe}, ask = #{f.ask}, reply_day = #{f.replyDay},"
            + " reply_time = #{f.replyTime}, reply_firm = #{f.replyFirm}, wanted_by = #{f.wantedBy}, version = version + 1"
            + " where owner = #{owner} and id = #{id} and removed = false")
    int found(@Param("owner") UUID owner, @Param("id") UUID id, @Param("f") Found found);

    /** Whether a message asks me, as the user has corrected it; null takes the correction back. */
    @Update("update message set correction = #{correction}, version = version + 1 where owner = #{owner}"
            + " and id = #{id}")
    int correct(@Param("owner") UUID owner, @Param("id") UUID id, @Param("correction") @Nullable Asks correction);

    /** Incoming mail of a group of connected mail that came through a list. */
    @Select("select * from message where owner = #{owner} and component = #{component} and list_address is not null"
            + " and direction = 'INCOMING'")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    List<StoredMessage> fromListsInComponent(@Param("owner") UUID owner, @Param("component") UUID component);

    /** Chat messages that answer an event. */
    @Select("select * from message where owner = #{owner} and room_id = #{roomId} and answers = #{eventId}"
            + " and direction = 'INCOMING' fetch first 200 rows only")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    List<StoredMessage> answering(
            @Param("owner") UUID owner, @Param("roomId") String roomId, @Param("eventId") String eventId);

    /** Incoming messages from an address or list that no correction of their own holds for; at most the newest. */
    @Select("select id from message where owner = #{owner} and direction = 'INCOMING' and correction is null and"
            + " removed = false and ((list_address is null and from_address = #{party}) or list_address = #{party})"
            + " order by sent_at desc fetch first #{most} rows only")
    List<UUID> fromParty(@Param("owner") UUID owner, @Param("party") String party, @Param("most") int most);

    @Update(
            "update message set body = '', asks_me = false, ask = '', reply_day = null, reply_time = null, removed = true, version = version + 1"
                    + " where owner = #{owner} and id = #{id}")
    int remove(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Undecided messages of the given kinds that are not put off beyond today; those wanted first come first. */
    @Select("<script>" + INTAKE + "where owner = #{owner} and decision = 'UNDECIDED'"
            + " and (put_off_until is null or put_off_until &lt;= #{today}) and (nature, asks_me) in"
            + " <foreach collection='kinds' item='kind' open='(' separator=',' close=')'>(#{kind.nature},"
            + " #{kind.asksMe})</foreach> order by wanted_by nulls last, sent_at, id fetch first #{most} rows only"
            + "</script>")
    @ResultMap("org.squallnote.core.intake.IntakeRow")
    List<IntakeRow> intakeByWanted(
            @Param("owner") UUID owner,
            @Param("kinds") Collection<IntakeKind> kinds,
            @Param("today") LocalDate today,
            @Param("most") int most);

    /** The newest undecided messages of the given kinds that are not put off beyond today. */
    @Select("<script>" + INTAKE + "where owner = #{owner} and decision = 'UNDECIDED'"
            + " and (put_off_until is null or put_off_until &lt;= #{today}) and (nature, asks_me) in"
            + " <foreach collection='kinds' item='kind' open='(' separator=',' close=')'>(#{kind.nature},"
            + " #{kind.asksMe})</foreach> order by sent_at desc fetch first #{most} rows only</script>")
    @ResultMap("org.squallnote.core.intake.IntakeRow")
    List<IntakeRow> intake(
            @Param("owner") UUID owner,
            @Param("kinds") Collection<IntakeKind> kinds,
            @Param("today") LocalDate today,
            @Param("most") int most);

    /** How many undecided messages there are of each kind that are not put off beyond today. */
    @Select("select nature, asks_me, count(*) as count from message where owner = #{owner} and decision = 'UNDECIDED'"
            + " and (put_off_until is null or put_off_until <= #{today}) group by nature, asks_me")
    List<IntakeCount> intakeCounts(@Param("owner") UUID owner, @Param("today") LocalDate today);

    /** Undecided messages that are put off beyond today, those that come back first before the others. */
    @Select(INTAKE + "where owner = #{owner} and decision = 'UNDECIDED' and put_off_until > #{today}"
            + " order by put_off_until, sent_at fetch first 200 rows only")
    @ResultMap("org.squallnote.core.intake.IntakeRow")
    List<IntakeRow> putOffBeyond(@Param("owner") UUID owner, @Param("today") LocalDate today);

    @Select("select count(*) from message where owner = #{owner} and source_id = #{sourceId}")
    int countInSource(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId);

    /** All groups of connected mail. */
    @Select("select distinct component from message where owner = #{owner} and channel = 'MAIL'")
    List<UUID> components(UUID owner);

    @Update("merge into message_place (source_id, folder, uid_validity, uid, owner, message_id)"
            + " key (source_id, folder, uid_validity, uid) values (#{place.sourceId}, #{place.folder},"
            + " #{place.uidValidity}, #{place.uid}, #{owner}, #{place.messageId})")
    void savePlace(@Param("owner") UUID owner, @Param("place") Place place);

    @Select("select source_id, folder, uid_validity, uid, message_id from message_place where owner = #{owner}"
            + " and message_id = #{messageId}")
    List<Place> places(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    @Select("select uid from message_place where owner = #{owner} and source_id = #{sourceId}"
            + " and folder = #{folder} and uid_validity = #{uidValidity}")
    List<Long> uids(
            @Param("owner") UUID owner,
            @Param("sourceId") UUID sourceId,
            @Param("folder") String folder,
            @Param("uidValidity") long uidValidity);

    @Delete("delete from message_place where owner = #{owner} and source_id = #{place.sourceId}"
            + " and folder = #{place.folder} and uid_validity = #{place.uidValidity} and uid = #{place.uid}")
    void deletePlace(@Param("owner") UUID owner, @Param("place") Place place);

    /** Places under a UIDVALIDITY that the server has given up. */
    @Delete("delete from message_place where owner = #{owner} and source_id = #{sourceId} and folder = #{folder}"
            + " and uid_validity <> #{uidValidity}")
    void deleteOutdatedPlaces(
            @Param("owner") UUID owner,
            @Param("sourceId") UUID sourceId,
            @Param("folder") String folder,
            @Param("uidValidity") long uidValidity);

    @Update("merge into reaction (owner, event_id, target, sender, content, sent_at) key (owner, event_id)"
            + " values (#{owner}, #{r.eventId}, #{r.target}, #{r.sender}, #{r.content}, #{r.sentAt})")
    void saveReaction(@Param("owner") UUID owner, @Param("r") Reaction reaction);

    @Select("select event_id, target, sender, content, sent_at from reaction where owner = #{owner}"
            + " and event_id = #{eventId}")
    Optional<Reaction> reaction(@Param("owner") UUID owner, @Param("eventId") String eventId);

    @Delete("delete from reaction where owner = #{owner} and event_id = #{eventId}")
    int deleteReaction(@Param("owner") UUID owner, @Param("eventId") String eventId);

    @Select("select r.event_id, r.target, r.sender, r.content, r.sent_at from reaction r join message m"
            + " on m.owner = r.owner and m.message_id = r.target where m.owner = #{owner}"
            + " and m.thread_id = #{threadId} order by r.sent_at")
    List<Reaction> reactionsInThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    @Update("merge into chat_change (owner, event_id, target, sender, removal, body, sent_at) key (owner, event_id)"
            + " values (#{owner}, #{c.eventId}, #{c.target}, #{c.sender}, #{c.removal}, #{c.body}, #{c.sentAt})")
    void saveChange(@Param("owner") UUID owner, @Param("c") ChatChange change);

    /** The changes to an event, in the order in which they were made. */
    @Select("select event_id, target, sender, removal, body, sent_at from chat_change where owner = #{owner}"
            + " and target = #{target} order by sent_at, event_id")
    List<ChatChange> changesOf(@Param("owner") UUID owner, @Param("target") String target);

    /** Undecided messages of a thread sent before a moment. */
    @Select("select * from message where owner = #{owner} and thread_id = #{threadId} and decision = 'UNDECIDED'"
            + " and sent_at < #{before}")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    List<StoredMessage> undecidedInThread(
            @Param("owner") UUID owner, @Param("threadId") UUID threadId, @Param("before") Instant before);

    /** Undecided messages from an address or list; at most the newest thousand. */
    @Select("select * from message where owner = #{owner} and decision = 'UNDECIDED' and"
            + " ((list_address is null and from_address = #{party}) or list_address = #{party})"
            + " order by sent_at desc fetch first 1000 rows only")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    List<StoredMessage> undecidedFrom(@Param("owner") UUID owner, @Param("party") String party);

    /** Undecided messages whose subjects differ only in their numbers; at most the newest thousand. */
    @Select("select * from message where owner = #{owner} and decision = 'UNDECIDED' and"
            + " substring(regexp_replace(base_subject, '[0-9]+', '#'), 1, 300) = #{pattern}"
            + " order by sent_at desc fetch first 1000 rows only")
    @ResultMap("org.squallnote.core.message.StoredMessage")
    List<StoredMessage> undecidedLike(@Param("owner") UUID owner, @Param("pattern") String pattern);

    /** Whether something from that address was there before a moment. */
    @Select("select exists (select 1 from message where owner = #{owner} and from_address = #{address}"
            + " and sent_at < #{before})")
    boolean hasEarlierFrom(
            @Param("owner") UUID owner, @Param("address") String address, @Param("before") Instant before);

    /** The names of those who write from addresses that match a pattern; at most a thousand. */
    @Select("select distinct from_name from message where owner = #{owner} and from_address like #{pattern}"
            + " and from_name <> '' fetch first 1000 rows only")
    List<String> namesAt(@Param("owner") UUID owner, @Param("pattern") String pattern);

    /** Those who have written to the user since a moment, the most recent first. */
    @Select("select from_name as name, from_address as address from message where owner = #{owner} and direction ="
            + " 'INCOMING' and sent_at > #{since} and from_name <> '' group by from_name, from_address order by"
            + " max(sent_at) desc fetch first 300 rows only")
    List<Party> writersSince(@Param("owner") UUID owner, @Param("since") Instant since);

    /** The category that the last follow-up from this writer got. */
    @Select("select f.category_id from follow_up f join follow_up_message l on l.follow_up_id = f.id join message m"
            + " on m.id = l.message_id where m.owner = #{owner} and m.from_address = #{address} and f.category_id is"
            + " not null order by f.created_at desc fetch first row only")
    Optional<UUID> lastCategoryFor(@Param("owner") UUID owner, @Param("address") String address);
}
