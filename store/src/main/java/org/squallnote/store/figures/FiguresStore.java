package org.squallnote.store.figures;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.figures.AskFact;
import org.squallnote.core.figures.DecidedFact;
import org.squallnote.core.figures.EndedFact;
import org.squallnote.core.figures.WorkedFact;
import org.squallnote.core.thread.PartyCount;
import org.squallnote.core.turn.Answered;
import org.squallnote.core.turn.Turn;

/** What figures are made of, from one moment to another. */
@Mapper
public interface FiguresStore {

    /** The messages that asked me something. */
    List<AskFact> asks(@Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to);

    /** When messages came in. */
    List<Instant> cameIn(@Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to);

    /** The messages about which something was decided. */
    List<DecidedFact> decided(@Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to);

    /** The follow-ups that ended. */
    List<EndedFact> ended(@Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to);

    /** What was worked at the follow-ups that ended. */
    List<WorkedFact> worked(@Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to);

    /** The categories of those that ended since a moment. */
    List<UUID> categoriesEnded(@Param("owner") UUID owner, @Param("from") Instant from);

    /** What others answered. */
    List<Answered> answers(@Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to);

    /** In how many threads each owes me something now. */
    List<PartyCount> waiting(UUID owner);

    /** Since when each thread has been with somebody. */
    List<Instant> openSince(@Param("owner") UUID owner, @Param("turn") Turn turn);
}
