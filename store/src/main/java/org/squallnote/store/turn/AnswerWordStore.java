package org.squallnote.store.turn;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.turn.AnswerRule;
import org.squallnote.core.turn.AnswerWord;

/** What was said by hand of messages that counted as answers, and of kinds of them. */
@Mapper
public interface AnswerWordStore {

    Optional<AnswerWord> of(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    List<AnswerWord> inThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    void insert(@Param("owner") UUID owner, @Param("word") AnswerWord word);

    int delete(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    List<AnswerRule> rules(UUID owner);

    void insertRule(@Param("owner") UUID owner, @Param("rule") AnswerRule rule);

    int deleteRule(@Param("owner") UUID owner, @Param("party") String party, @Param("pattern") String pattern);
}
