package org.squallnote.store.record;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Finds the threads of which something is to be proved. */
@Mapper
public interface ProofStore {

    /**
     * The threads in which somebody has written, from which a follow-up of a category was made, or in which something was
     * written in some days; the last written in first.
     *
     * @param addresses of the person; nothing for everybody
     */
    List<UUID> threads(
            @Param("owner") UUID owner,
            @Param("addresses") Collection<String> addresses,
            @Param("categoryId") @Nullable UUID categoryId,
            @Param("fromInclusive") @Nullable Instant fromInclusive,
            @Param("toExclusive") @Nullable Instant toExclusive,
            @Param("most") int most);
}
