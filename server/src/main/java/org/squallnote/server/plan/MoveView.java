package org.squallnote.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.plan.Fitting;

/** A proposal to move a follow-up to another day. */
record MoveView(UUID followUpId, String title, int minutes, LocalDate from, LocalDate to) {

    static List<MoveView> of(List<Fitting.Move> moves, Map<UUID, FollowUp> byId) {
        return moves.stream()
                .flatMap(move -> Optional.ofNullable(byId.get(move.id())).stream()
                        .map(followUp -> new MoveView(
                                move.id(), followUp.title(), followUp.expectedMinutes(), move.from(), move.to())))
                .toList();
    }
}
