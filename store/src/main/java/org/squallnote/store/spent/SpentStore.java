package org.squallnote.store.spent;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.spent.Worked;

/** What was worked at when. */
@Mapper
public interface SpentStore {

    /**
     * What was begun before a moment and not over at another one, in the order begun.
     *
     * @param notBefore begun at the earliest; so long before the first moment that nothing takes longer
     */
    List<Worked> worked(
            @Param("owner") UUID owner,
            @Param("notBefore") Instant notBefore,
            @Param("fromInclusive") Instant fromInclusive,
            @Param("toExclusive") Instant toExclusive,
            @Param("most") int most);
}
