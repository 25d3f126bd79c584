package org.squallnote.store.chase;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.chase.ChaseOnItsWay;
import org.squallnote.core.chase.SentChase;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.Answered;

/** How long people took to answer, which threads are to be chased, and reminders on their way out. */
@Mapper
public interface ChaseStore {

    /** The last answers of each of some people, those of one together, the newest first. */
    List<Answered> lastAnswers(
            @Param("owner") UUID owner, @Param("parties") Collection<String> parties, @Param("most") int most);

    List<Answered> answersInThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    void insertAnswer(
            @Param("owner") UUID owner, @Param("threadId") UUID threadId, @Param("answered") Answered answered);

    int deleteAnswers(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    /** The threads in which somebody is to be reminded by a day, the longest due first. */
    List<StoredThread> due(@Param("owner") UUID owner, @Param("today") LocalDate today, @Param("most") int most);

    /** How many there are. */
    int countDue(@Param("owner") UUID owner, @Param("today") LocalDate today);

    /** All threads in which somebody is to be reminded some day. */
    List<StoredThread> chased(UUID owner);

    int setChaseOn(@Param("owner") UUID owner, @Param("threadId") UUID threadId, @Param("day") LocalDate day);

    /** Chooses a day for a thread by hand, null for that which follows from its messages. */
    int setByHand(@Param("owner") UUID owner, @Param("threadId") UUID threadId, @Param("day") @Nullable LocalDate day);

    /** The reminders about a thread are about another one from now on. */
    int moveChases(@Param("owner") UUID owner, @Param("from") UUID from, @Param("to") UUID to);

    void insertChase(@Param("owner") UUID owner, @Param("chase") ChaseOnItsWay chase);

    /** The reminders that were sent about a thread. */
    List<ChaseOnItsWay> chases(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    /** Those of a thread that have gone out, the oldest first. */
    List<SentChase> sent(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    /** A reminder is known under another name, since it has gone out. */
    int rename(@Param("owner") UUID owner, @Param("identity") String identity, @Param("now") String now);

    /** Of which threads a reminder speaks. */
    List<UUID> threadsOf(@Param("owner") UUID owner, @Param("identity") String identity);

    /** Those of all threads that have not gone out yet, as far as that is known. */
    List<ChaseOnItsWay> onTheirWay(UUID owner);
}
