package org.squallnote.store.handover;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.handover.HandOver;

/** What was handed over. It belongs to two: its giver by account, its taker by the address of one of their mailboxes. */
@Mapper
public interface HandOverStore {

    void insert(HandOver handOver);

    /** What came with a mail to one of the mailboxes of an account, from another account. */
    Optional<HandOver> forTaker(@Param("taker") UUID taker, @Param("identity") String identity);

    /** To whom a message of the giver's went, the last one first. */
    List<HandOver> ofMessage(@Param("giver") UUID giver, @Param("message") UUID message);

    int settle(HandOver settled);
}
