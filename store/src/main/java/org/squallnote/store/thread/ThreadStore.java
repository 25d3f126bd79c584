package org.squallnote.store.thread;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.thread.Attention;
import org.squallnote.core.thread.GroupedThread;
import org.squallnote.core.thread.MadeFollowUp;
import org.squallnote.core.thread.OpenBetween;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.ThreadFollowUps;
import org.squallnote.core.thread.ThreadShape;
import org.squallnote.core.thread.TurnCount;
import org.squallnote.core.turn.CloseReason;
import org.squallnote.core.turn.Turn;

/** Threads. */
@Mapper
public interface ThreadStore {

    Optional<StoredThread> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Threads by whose turn it is: with me by when I owe it, with others by when they are to be chased, closed ones the last closed first, else the longest silence first. */
    List<StoredThread> byTurn(
            @Param("owner") UUID owner, @Param("turn") Turn turn, @Param("offset") int offset, @Param("most") int most);

    /** How many threads there are with each; one with me in which others are awaited too counts with both. */
    List<TurnCount> counts(UUID owner);

    List<StoredThread> byIds(@Param("owner") UUID owner, @Param("ids") Collection<UUID> ids);

    /** What is open between me and others, those together with whom it is the same person; who comes first by day first. */
    List<GroupedThread> byPerson(
            @Param("owner") UUID owner,
            @Param("mine") boolean mine,
            @Param("offset") int offset,
            @Param("most") int most);

    /** Threads by whose turn it is, those of one category together in the order of the categories. */
    List<GroupedThread> byCategory(
            @Param("owner") UUID owner, @Param("turn") Turn turn, @Param("offset") int offset, @Param("most") int most);

    /** Threads by whose turn it is, the longest so first. */
    List<StoredThread> byAge(
            @Param("owner") UUID owner, @Param("turn") Turn turn, @Param("offset") int offset, @Param("most") int most);

    /** How many have been so since before a moment. */
    int countSoBefore(@Param("owner") UUID owner, @Param("turn") Turn turn, @Param("before") Instant before);

    /** The follow-ups made from each of some threads; those without any are left out. */
    List<ThreadFollowUps> followUps(@Param("owner") UUID owner, @Param("ids") Collection<UUID> ids);

    /** Threads in which I have promised something, by the first day for which I have. */
    List<StoredThread> promised(@Param("owner") UUID owner, @Param("most") int most);

    /** In how many that is to be kept by a day. */
    int countPromised(@Param("owner") UUID owner, @Param("today") LocalDate today);

    /** The follow-ups made from each of some messages. */
    List<MadeFollowUp> made(@Param("owner") UUID owner, @Param("messageIds") Collection<UUID> messageIds);

    /** What is open with each person in a thread. */
    List<OpenBetween> openBetween(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    void insertOpenBetween(@Param("owner") UUID owner, @Param("open") Collection<OpenBetween> open);

    /** Forgets what is open with one person in a thread. */
    int deleteOpenBetween(@Param("owner") UUID owner, @Param("open") OpenBetween open);

    int deleteAllOpenBetween(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    List<UUID> allIds(UUID owner);

    void insert(StoredThread thread);

    /** Writes what is derived from the messages. */
    void updateDerived(StoredThread thread);

    /** Writes a decision made by hand, or takes it away where all parts are null. */
    void setHandDecision(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("turn") @Nullable Turn turn,
            @Param("reason") @Nullable CloseReason reason,
            @Param("at") @Nullable Instant at,
            @Param("lastKnown") @Nullable Instant lastKnown);

    int setAttention(@Param("owner") UUID owner, @Param("id") UUID id, @Param("attention") Attention attention);

    /**
     * Threads in which nobody owes anything, nobody has decided anything and no follow-up is open: those with a closing
     * word, then those in which nobody has written since a moment.
     */
    List<StoredThread> closable(@Param("owner") UUID owner, @Param("before") Instant before, @Param("most") int most);

    /** In how many threads somebody has said a closing word. */
    int countClosed(UUID owner);

    /** What was said by hand of where threads begin, in the order in which it was said. */
    List<ThreadShape> shapes(UUID owner);

    void insertShape(@Param("owner") UUID owner, @Param("shape") ThreadShape shape, @Param("at") Instant at);

    int deleteShapes(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** Removes a thread whose messages have all gone to another one. */
    int deleteEmpty(@Param("owner") UUID owner, @Param("id") UUID id);
}
