package org.squallnote.core.turn;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Whose turn it is in a thread.
 *
 * @param debts what I owe, the oldest first
 * @param paused what I owe again once my question back is answered
 * @param awaited who owes me something, in the order in which they came to
 * @param asking those awaited who asked back and wait for me meanwhile
 * @param answered who answered what I had asked, and when
 * @param given those answers
 * @param returns when somebody away is back, by address
 * @param closed whether it is closed
 * @param reopenedBy the message that opened it again after it was closed
 * @param decidedAt the moment of the decision by hand that still stands
 */
@RecordBuilder
public record TurnState(
        List<Debt> debts,
        List<Paused> paused,
        List<Awaited> awaited,
        List<Awaited> asking,
        List<Answered> answered,
        List<Given> given,
        Map<String, LocalDate> returns,
        boolean closed,
        Optional<UUID> reopenedBy,
        Optional<Instant> decidedAt) {

    /** Before any message. */
    public static final TurnState START = TurnStateBuilder.builder()
            .debts(List.of())
            .paused(List.of())
            .awaited(List.of())
            .asking(List.of())
            .answered(List.of())
            .given(List.of())
            .returns(Map.of())
            .build();

    /**
     * A debt that rests while my question back is open.
     *
     * @param debt the debt
     * @param waitingFor the addresses of those I asked
     * @param question the message in which I did
     */
    public record Paused(Debt debt, List<String> waitingFor, UUID question) {

        /** Copies the addresses. */
        public Paused {
            waitingFor = List.copyOf(waitingFor);
        }
    }

    /** Copies the collections. */
    public TurnState {
        debts = List.copyOf(debts);
        paused = List.copyOf(paused);
        awaited = List.copyOf(awaited);
        asking = List.copyOf(asking);
        answered = List.copyOf(answered);
        given = List.copyOf(given);
        returns = Map.copyOf(returns);
    }

    /** Whether I owe something. */
    public boolean iOwe() {
        return !debts.isEmpty();
    }

    /** Whose turn it is; with me when I owe, also where others are awaited besides. */
    public Turn turn() {
        if (closed) {
            return Turn.CLOSED;
        }
        if (iOwe()) {
            return Turn.WITH_ME;
        }
        return awaited.isEmpty() ? Turn.NOBODY : Turn.WITH_OTHERS;
    }

    /** The oldest thing that I owe. */
    public Optional<Debt> oldestDebt() {
        return debts.stream().min(Comparator.comparing(Debt::since).thenComparing(Debt::messageId));
    }

    /** The earliest day by which I owe something; absent where none was said. */
    public Optional<LocalDateTime> oweBy() {
        return debts.stream().flatMap(debt -> debt.by().stream()).min(Comparator.naturalOrder());
    }

    /** The same without what some messages made me owe, since somebody else sees to them. */
    public TurnState without(Set<UUID> messages) {
        List<Debt> left = debts.stream()
                .filter(debt -> !messages.contains(debt.messageId()))
                .toList();
        return TurnStateBuilder.builder(this).debts(left).build();
    }

    /** What I have promised. */
    public List<Debt> promises() {
        return debts.stream().filter(debt -> debt.promise().isPresent()).toList();
    }

    /** Since when it has been so. */
    public Optional<Instant> since() {
        return switch (turn()) {
            case WITH_ME -> oldestDebt().map(Debt::since);
            case WITH_OTHERS ->
                awaited.stream()
                        .map(Awaited::since)
                        .min(Comparator.naturalOrder())
                        .map(first -> decidedAt.filter(first::isBefore).orElse(first));
            case CLOSED, NOBODY -> decidedAt;
        };
    }

    /** The message that made it so. */
    public Optional<UUID> by() {
        return switch (turn()) {
            case WITH_ME -> oldestDebt().map(Debt::messageId);
            case WITH_OTHERS ->
                awaited.stream().min(Comparator.comparing(Awaited::since)).map(Awaited::messageId);
            case CLOSED, NOBODY -> Optional.empty();
        };
    }
}
