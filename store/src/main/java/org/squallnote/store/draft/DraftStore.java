package org.squallnote.store.draft;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.draft.Draft;

/** Drafts, at most one a message. */
@Mapper
public interface DraftStore {

    Optional<Draft> of(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    int update(Draft draft);

    void insert(Draft draft);

    default void save(Draft draft) {
        if (update(draft) == 0) {
            insert(draft);
        }
    }

    int delete(@Param("owner") UUID owner, @Param("messageId") UUID messageId);
}
