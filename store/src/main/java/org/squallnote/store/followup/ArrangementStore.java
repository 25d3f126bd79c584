package org.squallnote.store.followup;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.followup.Arrangement;
import org.squallnote.core.followup.HandRank;

/** How follow-ups stand: the order by hand, and arrangements of the list under a name. */
@Mapper
public interface ArrangementStore {

    List<HandRank> ranks(UUID owner);

    Optional<HandRank> rank(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    void insertRank(@Param("owner") UUID owner, @Param("r") HandRank rank);

    int deleteRank(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    List<Arrangement> of(UUID owner);

    Optional<Arrangement> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    void insert(Arrangement arrangement);

    int update(Arrangement arrangement);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
