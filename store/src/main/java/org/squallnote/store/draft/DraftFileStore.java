package org.squallnote.store.draft;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.draft.DraftFile;

/** The files of drafts. */
@Mapper
public interface DraftFileStore {

    /** What a draft will carry. */
    List<DraftFile> waiting(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** How many bytes a draft carries already. */
    long bytesWaiting(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    void insert(DraftFile file);

    int delete(@Param("owner") UUID owner, @Param("messageId") UUID messageId, @Param("id") UUID id);

    /** Notes that the waiting files went with a command, or wait again. */
    int move(
            @Param("owner") UUID owner,
            @Param("messageId") UUID messageId,
            @Param("from") @Nullable UUID from,
            @Param("to") @Nullable UUID to);

    /** Forgets those that were sent so long ago that nothing can be taken back. */
    int forgetSent(@Param("owner") UUID owner, @Param("before") Instant before);
}
