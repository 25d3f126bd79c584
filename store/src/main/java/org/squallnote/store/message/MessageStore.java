package org.squallnote.store.message;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.intake.IntakeCount;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.ChatChange;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.KnownMessage;
import org.squallnote.core.message.LinkRow;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Place;
import org.squallnote.core.message.Reaction;
import org.squallnote.core.message.ReadingSummary;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.turn.Answered;

/** Messages. */
@Mapper
public interface MessageStore {

    /** Later than anything is sent. */
    Instant FAR_AWAY = Instant.parse("9000-01-01T00:00:00Z");

    /** Keeps a new message, with the heap that it would wait in. */
    default void insert(StoredMessage message, @Nullable LocalDateTime wantedBy) {
        insertInto(message, wantedBy, Heap.of(message.nature(), message.asksMe()));
    }

    void insertInto(
            @Param("m") StoredMessage message,
            @Param("wantedBy") @Nullable LocalDateTime wantedBy,
            @Param("heap") Heap heap);

    Optional<StoredMessage> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Several messages, in no order. */
    List<StoredMessage> byIds(@Param("owner") UUID owner, @Param("ids") Collection<UUID> ids);

    Optional<StoredMessage> byIdentity(@Param("owner") UUID owner, @Param("identity") String identity);

    Optional<UUID> idOf(@Param("owner") UUID owner, @Param("identity") String identity);

    /** How many messages of mine have this Message-ID or event id. */
    int countMine(@Param("owner") UUID owner, @Param("messageId") String messageId);

    /** The messages of a thread in the order sent; at most the newest thousand. */
    List<StoredMessage> inThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    List<ThreadingRow> threadingInThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    /** For the traces of many threads in one query; joined, since a list of values would not be looked up by an index. */
    List<ThreadingRow> threadingInThreads(@Param("owner") UUID owner, @Param("threadIds") Collection<UUID> threadIds);

    List<ThreadingRow> inComponent(@Param("owner") UUID owner, @Param("component") UUID component);

    List<ThreadingRow> inRoom(
            @Param("owner") UUID owner,
            @Param("roomId") String roomId,
            @Param("from") Instant from,
            @Param("to") Instant to);

    /** Components of messages with this base subject sent in the given days; at most a hundred, the newest. */
    List<UUID> componentsBySubject(
            @Param("owner") UUID owner,
            @Param("baseSubject") String baseSubject,
            @Param("from") Instant from,
            @Param("to") Instant to);

    /**
     * Components of unlinked messages with this base subject, and something before it in their subject, sent in the
     * given days: replies that may have waited for the message they answer. At most a hundred, the oldest.
     */
    List<UUID> componentsOfUnlinkedReplies(
            @Param("owner") UUID owner,
            @Param("baseSubject") String baseSubject,
            @Param("from") Instant from,
            @Param("to") Instant to);

    /** Those of some messages that are stored. */
    List<KnownMessage> known(@Param("owner") UUID owner, @Param("identities") Collection<String> identities);

    /** What is known of some identities of messages; nothing of those that nothing speaks of. */
    List<LinkRow> links(@Param("owner") UUID owner, @Param("identities") Collection<String> identities);

    void insertLink(@Param("owner") UUID owner, @Param("identity") String identity, @Param("component") UUID component);

    void moveLinks(@Param("owner") UUID owner, @Param("component") UUID component, @Param("into") UUID into);

    void moveComponent(@Param("owner") UUID owner, @Param("component") UUID component, @Param("into") UUID into);

    /** The thread of one message of a component. */
    Optional<UUID> aThreadOf(@Param("owner") UUID owner, @Param("component") UUID component);

    void setThread(@Param("owner") UUID owner, @Param("id") UUID id, @Param("threadId") UUID threadId);

    /** Decides a message; what was put off is no longer. */
    int decide(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("decision") Decision decision,
            @Param("at") @Nullable Instant at);

    /** Takes an undecided message out of Intake until a day; null brings it back. */
    int putOff(@Param("owner") UUID owner, @Param("id") UUID id, @Param("until") @Nullable LocalDate until);

    /** The new text of a chat message whose writer changed it, and what the message is called by it. */
    int edit(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("body") String body,
            @Param("subject") String subject);

    /** What was found in a message, as far as lists show it. */
    default int found(UUID owner, UUID id, ReadingSummary found) {
        return foundIn(owner, id, found, Heap.of(found.nature(), found.asksMe()));
    }

    int foundIn(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("f") ReadingSummary found,
            @Param("heap") Heap heap);

    /** Whether a message asks me, as the user has corrected it; null takes the correction back. */
    /** The last messages of which was said whether they ask, newest first. */
    List<StoredMessage> corrected(
            @Param("owner") UUID owner, @Param("correction") Asks correction, @Param("most") int most);

    int correct(@Param("owner") UUID owner, @Param("id") UUID id, @Param("correction") @Nullable Asks correction);

    /** Incoming mail of a group of connected mail that came through a list. */
    List<StoredMessage> fromListsInComponent(@Param("owner") UUID owner, @Param("component") UUID component);

    /** Chat messages that answer an event. */
    List<StoredMessage> answering(
            @Param("owner") UUID owner, @Param("roomId") String roomId, @Param("eventId") String eventId);

    /** Incoming messages from an address or list that no correction of their own holds for; at most the newest. */
    List<UUID> fromParty(@Param("owner") UUID owner, @Param("party") String party, @Param("most") int most);

    /** Empties a message whose writer took it back: nothing of its text stays, and it asks nothing any more. */
    default int remove(UUID owner, StoredMessage message) {
        return removeInto(owner, message.id(), Heap.of(message.nature(), false), new Files(List.of()));
    }

    int removeInto(
            @Param("owner") UUID owner, @Param("id") UUID id, @Param("heap") Heap heap, @Param("files") Files files);

    /** Takes the texts out of the changes to a chat event; that there were some stays. */
    int forgetChanges(@Param("owner") UUID owner, @Param("target") String target);

    /** Undecided messages of a heap that are not put off beyond today; those wanted first come first. */
    List<IntakeRow> intakeByWanted(
            @Param("owner") UUID owner,
            @Param("heap") Heap heap,
            @Param("today") LocalDate today,
            @Param("most") int most);

    /** The newest undecided messages of a heap that are not put off beyond today. */
    List<IntakeRow> intake(
            @Param("owner") UUID owner,
            @Param("heap") Heap heap,
            @Param("today") LocalDate today,
            @Param("most") int most);

    /** How many undecided messages there are in each heap that are not put off beyond today; none for an empty one. */
    /** How many of those that wait have come after a moment. */
    int intakeSince(@Param("owner") UUID owner, @Param("today") LocalDate today, @Param("since") Instant since);

    List<IntakeCount> intakeCounts(@Param("owner") UUID owner, @Param("today") LocalDate today);

    /** Undecided messages that are put off beyond today, those that come back first before the others. */
    List<IntakeRow> putOffBeyond(@Param("owner") UUID owner, @Param("today") LocalDate today);

    int countInSource(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId);

    /** All groups of connected mail. */
    List<UUID> components(UUID owner);

    int updatePlace(@Param("owner") UUID owner, @Param("place") Place place);

    void insertPlace(@Param("owner") UUID owner, @Param("place") Place place);

    default void savePlace(UUID owner, Place place) {
        if (updatePlace(owner, place) == 0) {
            insertPlace(owner, place);
        }
    }

    List<Place> places(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    List<Long> uids(
            @Param("owner") UUID owner,
            @Param("sourceId") UUID sourceId,
            @Param("folder") String folder,
            @Param("uidValidity") long uidValidity);

    /** Places under a UIDVALIDITY that the server has given up. */
    void deleteOutdatedPlaces(
            @Param("owner") UUID owner,
            @Param("sourceId") UUID sourceId,
            @Param("folder") String folder,
            @Param("uidValidity") long uidValidity);

    int updateReaction(@Param("owner") UUID owner, @Param("r") Reaction reaction);

    void insertReaction(@Param("owner") UUID owner, @Param("r") Reaction reaction);

    default void saveReaction(UUID owner, Reaction reaction) {
        if (updateReaction(owner, reaction) == 0) {
            insertReaction(owner, reaction);
        }
    }

    Optional<Reaction> reaction(@Param("owner") UUID owner, @Param("eventId") String eventId);

    int deleteReaction(@Param("owner") UUID owner, @Param("eventId") String eventId);

    /** The reactions to an event, the first one first. */
    List<Reaction> reactionsTo(@Param("owner") UUID owner, @Param("target") String target);

    List<Reaction> reactionsInThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    int updateChange(@Param("owner") UUID owner, @Param("c") ChatChange change);

    void insertChange(@Param("owner") UUID owner, @Param("c") ChatChange change);

    default void saveChange(UUID owner, ChatChange change) {
        if (updateChange(owner, change) == 0) {
            insertChange(owner, change);
        }
    }

    /** The changes to an event, in the order in which they were made. */
    List<ChatChange> changesOf(@Param("owner") UUID owner, @Param("target") String target);

    /** Undecided messages of a thread sent before a moment. */
    List<StoredMessage> undecidedInThread(
            @Param("owner") UUID owner, @Param("threadId") UUID threadId, @Param("before") Instant before);

    /** Undecided messages from an address or list; at most the newest thousand. */
    List<StoredMessage> undecidedFrom(@Param("owner") UUID owner, @Param("party") String party);

    /** Undecided messages whose subjects differ only in their numbers; at most the newest thousand. */
    List<StoredMessage> undecidedLike(@Param("owner") UUID owner, @Param("pattern") String pattern);

    /** Whether something from that address was there before a moment. */
    boolean hasEarlierFrom(
            @Param("owner") UUID owner, @Param("address") String address, @Param("before") Instant before);

    /** The event id of the newest message of a room before which, and with which, nothing waits for a decision. */
    default Optional<String> decidedUpTo(UUID owner, String roomId) {
        return newestBeforeUndecided(owner, roomId, FAR_AWAY);
    }

    Optional<String> newestBeforeUndecided(
            @Param("owner") UUID owner, @Param("roomId") String roomId, @Param("farAway") Instant farAway);

    /** The invitations into a room that wait for a decision. */
    List<StoredMessage> invitations(@Param("owner") UUID owner, @Param("roomId") String roomId);

    /** The threads of what answers one of these events. */
    List<UUID> threadsAnswering(
            @Param("owner") UUID owner, @Param("roomId") String roomId, @Param("eventIds") List<String> eventIds);

    /** The last mails that somebody wrote, the newest first. */
    List<StoredMessage> lastBy(@Param("owner") UUID owner, @Param("address") String address, @Param("most") int most);

    /** Of the last mails that somebody wrote, those that I answered in their thread, with when. */
    List<Answered> answeredByMe(@Param("owner") UUID owner, @Param("address") String address, @Param("most") int most);

    /** Whether a person has written in chat from that address. */
    boolean hasTalked(@Param("owner") UUID owner, @Param("address") String address);

    /** The names of those who write from addresses that match a pattern; at most a thousand. */
    List<String> namesAt(@Param("owner") UUID owner, @Param("pattern") String pattern);

    /** Those who have written to the user since a moment, the most recent first. */
    List<Party> writersSince(@Param("owner") UUID owner, @Param("since") Instant since);

    /** The category that the last follow-up from this writer got. */
    Optional<UUID> lastCategoryFor(@Param("owner") UUID owner, @Param("address") String address);

    /** The threads in which somebody has written. */
    List<UUID> threadsWith(@Param("owner") UUID owner, @Param("address") String address);

    /** The messages with a Message-ID, in the order sent. */
    List<StoredMessage> withMessageId(@Param("owner") UUID owner, @Param("messageId") String messageId);

    /** The same of several. */
    List<StoredMessage> withMessageIds(@Param("owner") UUID owner, @Param("messageIds") Collection<String> messageIds);
}
