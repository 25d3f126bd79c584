package org.squallnote.core.intake;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.TurnState;

/** What an answer of mine settles, wherever it was written. */
public final class Settling {

    private Settling() {}

    /** Whether a message of a thread was answered by a later one of mine to its writer. */
    public static boolean isAnswered(ThreadingRow message, Collection<ThreadingRow> thread) {
        return thread.stream()
                .anyMatch(other -> other.direction() == Direction.OUTGOING
                        && other.sentAt().isAfter(message.sentAt())
                        && other.recipients().reach(message.fromAddress()));
    }

    /**
     * What it takes out of Intake: messages of those it went to, but not what I still owe after it; what I have only
     * promised stays.
     *
     * @param undecided messages of the thread that were sent before it
     * @param state of the thread after the answer
     */
    public static List<StoredMessage> settledBy(
            StoredMessage answer, Collection<StoredMessage> undecided, TurnState state) {
        Set<UUID> stillOwed = state.debts().stream().map(Debt::messageId).collect(Collectors.toSet());
        return undecided.stream()
                .filter(message ->
                        answer.recipients().reach(message.fromAddress()) && !stillOwed.contains(message.id()))
                .toList();
    }
}
