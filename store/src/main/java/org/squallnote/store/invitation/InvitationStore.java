package org.squallnote.store.invitation;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.invitation.Answer;
import org.squallnote.core.invitation.Said;

/** Scheduling messages and answers. */
@Mapper
public interface InvitationStore {

    void insert(@Param("owner") UUID owner, @Param("said") Said said, @Param("body") String body);

    /** Whether a message says something of a meeting. */
    boolean isAboutMeeting(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    Optional<Said> saidIn(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** The calendar part as it came. */
    Optional<String> body(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** All that was said of a meeting and of its times. */
    List<Said> saidOf(@Param("owner") UUID owner, @Param("uid") String uid);

    Optional<Answer> answer(@Param("owner") UUID owner, @Param("id") UUID id);

    Optional<Answer> answerTo(
            @Param("owner") UUID owner, @Param("uid") String uid, @Param("recurrenceId") String recurrenceId);

    void insertAnswer(@Param("owner") UUID owner, @Param("answer") Answer answer);

    int deleteAnswer(@Param("owner") UUID owner, @Param("id") UUID id);
}
