package org.squallnote.store.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.plan.BlockWritten;
import org.squallnote.core.plan.Planned;
import org.squallnote.core.plan.Stint;

/** Plans of days, and the time that was spent. */
@Mapper
public interface PlanStore {

    /** What is planned for open follow-ups, of days that are over too. */
    List<Planned> ofOpen(UUID owner);

    /** What was planned for a day of follow-ups that have ended. */
    List<Planned> ofEnded(@Param("owner") UUID owner, @Param("day") LocalDate day);

    Optional<Planned> of(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    void insert(@Param("owner") UUID owner, @Param("planned") Planned planned);

    int delete(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    /** The accounts that have a block, or had one that stands in a calendar. */
    Set<UUID> ownersOfBlocks();

    /** The blocks that stand in calendars of servers. */
    List<BlockWritten> blocksWritten(UUID owner);

    void insertBlock(@Param("owner") UUID owner, @Param("block") BlockWritten block);

    int deleteBlock(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    /** What was worked at open follow-ups, and since a moment at others. */
    List<Stint> stints(@Param("owner") UUID owner, @Param("since") Instant since);

    /** What was worked at some follow-ups. */
    List<Stint> stintsOf(@Param("owner") UUID owner, @Param("followUpIds") Collection<UUID> followUpIds);

    /** What is worked at now. */
    Optional<Stint> underWay(UUID owner);

    Optional<Stint> stint(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertStint(@Param("owner") UUID owner, @Param("stint") Stint stint);

    int deleteStint(@Param("owner") UUID owner, @Param("id") UUID id);
}
