package org.squallnote.store.repetition;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.repetition.Series;

/** Series of follow-ups that go on. */
@Mapper
public interface SeriesStore {

    Optional<Series> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    /** The one for which a follow-up stands now. */
    Optional<Series> standingFor(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    /** The follow-ups that stand for one now. */
    Set<UUID> currents(UUID owner);

    void insert(@Param("owner") UUID owner, @Param("series") Series series);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
