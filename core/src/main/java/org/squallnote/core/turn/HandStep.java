package org.squallnote.core.turn;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;

/** A decision made by hand as a step of the fold, and the steps after it. */
final class HandStep {

    private HandStep() {}

    /** The state right after the decision. */
    static TurnState after(HandDecision hand, TurnState before, List<TurnEvent> known) {
        boolean closes = hand.turn() == Turn.CLOSED;
        List<Awaited> awaited = switch (hand.turn()) {
            case WITH_OTHERS -> handedTo(hand, before, known);
            case NOBODY -> before.iOwe() ? before.awaited() : List.of();
            default -> List.of();
        };
        return TurnStateBuilder.builder()
                .debts(List.of())
                .paused(List.of())
                .awaited(awaited)
                .asking(List.of())
                .answered(before.answered())
                .given(before.given())
                .returns(before.returns())
                .closed(closes)
                .decidedAt(Optional.of(hand.decidedAt()))
                .build();
    }

    /** A closed thread opens only when somebody asks me something in it; anything else leaves a decision standing until it changes the facts. */
    static TurnState next(TurnState state, TurnStep step, TurnEvent event) {
        boolean asksMe =
                event.direction() == Direction.INCOMING && event.facts().asksMe();
        if (state.closed()) {
            if (!asksMe) {
                return state;
            }
            TurnState opened = step.after(event);
            return TurnStateBuilder.builder(opened)
                    .reopenedBy(Optional.of(event.messageId()))
                    .decidedAt(Optional.empty())
                    .build();
        }
        TurnState next = step.after(event);
        boolean changed = !next.debts().equals(state.debts()) || !next.awaited().equals(state.awaited());
        return TurnStateBuilder.builder(next)
                .reopenedBy(state.reopenedBy())
                .decidedAt(changed ? Optional.empty() : state.decidedAt())
                .build();
    }

    /** The other side: those I owed, else those awaited already, else whoever wrote or was written to last. */
    private static List<Awaited> handedTo(HandDecision hand, TurnState before, List<TurnEvent> known) {
        List<Awaited> awaited = new ArrayList<>(before.awaited());
        for (Debt debt : before.debts()) {
            if (awaited.stream().noneMatch(one -> one.party().isSameAs(debt.to()))) {
                awaited.add(
                        new Awaited(debt.to(), debt.messageId(), hand.decidedAt(), Optional.empty(), false, "", false));
            }
        }
        for (int i = known.size() - 1; i >= 0 && awaited.isEmpty(); i--) {
            TurnEvent event = known.get(i);
            boolean personal =
                    event.facts().nature() == Nature.PERSON || event.facts().nature() == Nature.INVITATION;
            if (personal && !event.reaction()) {
                List<Party> others = event.direction() == Direction.INCOMING ? List.of(event.from()) : event.to();
                others.forEach(party -> awaited.add(
                        new Awaited(party, event.messageId(), hand.decidedAt(), Optional.empty(), false, "", false)));
            }
        }
        return awaited;
    }
}
