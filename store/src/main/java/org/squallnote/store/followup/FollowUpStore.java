package org.squallnote.store.followup;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.followup.FollowUpSource;

/** Follow-ups. */
@Mapper
public interface FollowUpStore {

    Optional<FollowUp> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    List<FollowUp> byIds(@Param("owner") UUID owner, @Param("ids") Collection<UUID> ids);

    List<FollowUp> open(UUID owner);

    List<FollowUp> endedSince(@Param("owner") UUID owner, @Param("since") Instant since);

    /** Open ones that have waited for something since before a moment. */
    List<FollowUp> waiting(@Param("owner") UUID owner, @Param("before") Instant before);

    List<FollowUp> inCategory(@Param("owner") UUID owner, @Param("categoryId") UUID categoryId);

    /** Open follow-ups made from messages of a thread that were sent before a moment. */
    List<FollowUp> openInThread(
            @Param("owner") UUID owner, @Param("threadId") UUID threadId, @Param("before") Instant before);

    void insert(FollowUp followUp);

    int update(FollowUp followUp);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertLink(@Param("owner") UUID owner, @Param("link") FollowUpLink link);

    int deleteLinks(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    List<FollowUpLink> links(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    /** The links of several, each follow-up's in the order in which they were made. */
    List<FollowUpLink> linksOf(@Param("owner") UUID owner, @Param("followUpIds") Collection<UUID> followUpIds);

    List<FollowUp> ofMessage(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** The follow-ups of all messages of a thread. */
    List<FollowUp> ofThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    /** Open follow-ups with the message and writer they came from, for the list. */
    List<FollowUpOrigin> origins(@Param("owner") UUID owner, @Param("since") Instant since);

    /** From which sources open follow-ups came. */
    List<FollowUpSource> sources(UUID owner);

    /** The messages and writers that one follow-up came from. */
    List<FollowUpOrigin> originsOf(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    /** Keeps another snapshot with follow-ups than the message as it was, and no sentence of it. */
    int keepOtherwise(
            @Param("owner") UUID owner,
            @Param("messageId") UUID messageId,
            @Param("followUps") List<UUID> followUps,
            @Param("snapshot") String snapshot);

    /** Gives another title to a follow-up that still has the one it was made with. */
    int retitle(@Param("owner") UUID owner, @Param("id") UUID id, @Param("from") String from, @Param("to") String to);
}
