package org.squallnote.store.followup;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.followup.AttachedWords;
import org.squallnote.core.followup.FollowUpFile;
import org.squallnote.core.followup.Relation;
import org.squallnote.core.followup.WebLink;

/** What lies with follow-ups: files, addresses, other follow-ups. */
@Mapper
public interface AttachedStore {

    List<FollowUpFile> files(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    Optional<FollowUpFile> file(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertFile(@Param("owner") UUID owner, @Param("f") FollowUpFile file);

    /** Takes one away so that it can be brought back for a while. */
    int removeFile(
            @Param("owner") UUID owner,
            @Param("followUpId") UUID followUpId,
            @Param("id") UUID id,
            @Param("at") Instant at);

    /** Forgets one that was taken away. */
    int deleteFile(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Forgets those that were taken away before a moment, or lie with nothing any more. */
    int forgetFiles(Instant before);

    /** The sums of all files that are still needed. */
    List<String> fileContents();

    List<WebLink> webLinks(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    Optional<WebLink> webLink(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertWebLink(@Param("owner") UUID owner, @Param("l") WebLink link);

    int deleteWebLink(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId, @Param("id") UUID id);

    /** What all of it is called, of some follow-ups. */
    List<AttachedWords> words(@Param("owner") UUID owner, @Param("followUpIds") Collection<UUID> followUpIds);

    /** Those in which a follow-up is the one or the other. */
    List<Relation> relations(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    /** All of an account. */
    List<Relation> allRelations(UUID owner);

    Optional<Relation> relation(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertRelation(@Param("owner") UUID owner, @Param("r") Relation relation);

    int deleteRelation(@Param("owner") UUID owner, @Param("id") UUID id);
}
