package org.squallnote.store.round;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.round.KeptLine;

/** The lines that stay as they are in the walk that is under way. */
@Mapper
public interface RoundStore {

    List<KeptLine> kept(UUID owner);

    Optional<KeptLine> line(@Param("owner") UUID owner, @Param("id") UUID id);

    void insert(@Param("owner") UUID owner, @Param("id") UUID id, @Param("line") KeptLine line);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    /** Forgets those of an earlier walk. */
    int clear(UUID owner);
}
