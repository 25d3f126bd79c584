package org.squallnote.store.handover;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.handover.HandOver;
import org.squallnote.core.handover.HandOverEnd;

/** What was handed over. It belongs to two: its giver by account, its taker by the address of one of their mailboxes. */
@Mapper
public interface HandOverStore {

    void insert(HandOver handOver);

    /** What came with a mail to one of the mailboxes of an account, from another account. */
    Optional<HandOver> forTaker(@Param("taker") UUID taker, @Param("identity") String identity);

    /** One that an account has given away. */
    Optional<HandOver> ofGiver(@Param("giver") UUID giver, @Param("identity") String identity);

    /** To whom a message of the giver's went, the last one first. */
    List<HandOver> ofMessage(@Param("giver") UUID giver, @Param("message") UUID message);

    /** What an account has given away, the last first. */
    List<HandOver> given(@Param("giver") UUID giver, @Param("most") int most);

    /** What came to the mailboxes of an account, the last first. */
    List<HandOver> received(@Param("taker") UUID taker, @Param("most") int most);

    /** The open one that a follow-up of its taker belongs to. */
    Optional<HandOver> ofFollowUp(@Param("taker") UUID taker, @Param("followUp") UUID followUp);

    /** Those of which one of the two has not been told, of all accounts: for what tells them. */
    List<HandOver> untold();

    /** Those in a thread of their giver of which nothing more is to come. */
    List<HandOverEnd> endedInThread(@Param("giver") UUID giver, @Param("threadId") UUID threadId);

    /** The accounts that read a taker's address, besides the giver's. */
    List<UUID> takers(@Param("giver") UUID giver, @Param("address") String address);

    int settle(HandOver settled);

    /** Both have been told of its state; nothing where that has changed meanwhile. */
    int told(HandOver told);
}
