package org.squallnote.core.turn;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;

/** Folds the messages of a thread into whose turn it is; see the package documentation for the rule. */
public final class TurnRules {

    private static final Comparator<TurnEvent> IN_SENT_ORDER =
            Comparator.comparing(TurnEvent::sentAt).thenComparing(TurnEvent::messageId);

    private TurnRules() {}

    /**
     * The state after all messages, in whatever order they are given.
     *
     * @param decision the last decision made by hand, where there is one
     */
    public static TurnState after(List<TurnEvent> messages, Optional<HandDecision> decision) {
        List<TurnEvent> personal = new ArrayList<>();
        for (TurnEvent message : messages) {
            if (message.nature().isPersonal()) {
                personal.add(message);
            }
        }
        personal.sort(IN_SENT_ORDER);
        return decision.map(hand -> afterDecision(personal, hand)).orElseGet(() -> byMessages(personal));
    }

    private static TurnState byMessages(List<TurnEvent> personal) {
        if (personal.isEmpty()) {
            return new TurnState(Turn.NOBODY, Optional.empty(), Optional.empty(), List.of(), Optional.empty());
        }
        TurnEvent last = personal.get(personal.size() - 1);
        if (last.direction() == Direction.INCOMING) {
            return withMe(firstUnanswered(personal), Optional.empty());
        }
        return new TurnState(
                last.to().isEmpty() ? Turn.NOBODY : Turn.WITH_OTHERS,
                Optional.of(last.sentAt()),
                Optional.of(last.messageId()),
                last.to(),
                Optional.empty());
    }

    private static TurnState afterDecision(List<TurnEvent> personal, HandDecision hand) {
        List<TurnEvent> newer = personal.stream()
                .filter(message -> message.sentAt().isAfter(hand.lastKnownSentAt()))
                .toList();
        if (hand.turn() == Turn.CLOSED) {
            Optional<TurnEvent> opensAgain = newer.stream()
                    .filter(message -> message.direction() == Direction.INCOMING)
                    .findFirst();
            if (opensAgain.isEmpty()) {
                return decided(Turn.CLOSED, hand.decidedAt(), List.of());
            }
            TurnState now = byMessages(newer);
            return new TurnState(
                    now.turn(), now.since(), now.by(), now.awaited(), opensAgain.map(TurnEvent::messageId));
        }
        if (!newer.isEmpty()) {
            return byMessages(newer);
        }
        return hand.turn() == Turn.WITH_OTHERS
                ? decided(Turn.WITH_OTHERS, hand.decidedAt(), othersIn(personal))
                : decided(Turn.NOBODY, hand.decidedAt(), List.of());
    }

    private static TurnState withMe(TurnEvent since, Optional<UUID> reopenedBy) {
        return new TurnState(
                Turn.WITH_ME, Optional.of(since.sentAt()), Optional.of(since.messageId()), List.of(), reopenedBy);
    }

    private static TurnState decided(Turn turn, Instant at, List<Party> awaited) {
        return new TurnState(turn, Optional.of(at), Optional.empty(), awaited, Optional.empty());
    }

    /** The oldest incoming message after my last one: somebody who writes twice has waited since the first time. */
    private static TurnEvent firstUnanswered(List<TurnEvent> personal) {
        int i = personal.size() - 1;
        while (i > 0 && personal.get(i - 1).direction() == Direction.INCOMING) {
            i--;
        }
        return personal.get(i);
    }

    private static List<Party> othersIn(List<TurnEvent> personal) {
        for (int i = personal.size() - 1; i >= 0; i--) {
            TurnEvent message = personal.get(i);
            if (message.direction() == Direction.INCOMING) {
                return List.of(message.from());
            }
            if (!message.to().isEmpty()) {
                return message.to();
            }
        }
        return List.of();
    }
}
