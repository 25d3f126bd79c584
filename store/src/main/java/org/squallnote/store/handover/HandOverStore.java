package org.squallnote.store.handover;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.handover.HandOver;

/** What was handed over. It belongs to two: its giver by account, its taker by the address of one of their mailboxes. */
@Mapper
public interface HandOverStore {

    @Insert("insert into hand_over (identity, giver, giver_message, taker_address, state, word, offered_at) values"
            + " (#{identity}, #{giver}, #{giverMessage}, #{takerAddress}, #{state}, #{word}, #{offeredAt})")
    void insert(HandOver handOver);

    /** What came with a mail to one of the mailboxes of an account, from another account. */
    @Select("select h.* from hand_over h where h.identity = #{identity} and h.giver <> #{taker} and exists (select 1"
            + " from source s where s.owner = #{taker} and s.address = h.taker_address)")
    Optional<HandOver> forTaker(@Param("taker") UUID taker, @Param("identity") String identity);

    /** To whom a message of the giver's went, the last one first. */
    @Select("select * from hand_over where giver = #{giver} and giver_message = #{message} order by offered_at desc")
    List<HandOver> ofMessage(@Param("giver") UUID giver, @Param("message") UUID message);

    @Update("update hand_over set state = #{state}, word = #{word} where identity = #{identity} and giver = #{giver}")
    int settle(HandOver settled);
}
