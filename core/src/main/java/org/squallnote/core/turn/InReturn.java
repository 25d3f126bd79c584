package org.squallnote.core.turn;

import java.util.List;
import java.util.Optional;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.TurnState.Paused;

/** What is promised for something that is asked for: "If you send me the receipt, I'll pay you back". */
final class InReturn {

    private final Earlier earlier;
    private final List<Paused> paused;
    private final List<Awaited> asking;
    private final Awaiting awaiting;

    /** It adds to what rests, and to those who wait for me. */
    InReturn(Earlier earlier, List<Paused> paused, List<Awaited> asking, Awaiting awaiting) {
        this.earlier = earlier;
        this.paused = paused;
        this.asking = asking;
        this.awaiting = awaiting;
    }

    /** Mine is owed once they have given what I ask. */
    void mine(TurnEvent event, Optional<Party> other) {
        Facts facts = event.facts();
        if (facts.inReturn().isEmpty() || facts.asked().isEmpty()) {
            return;
        }
        Party to = event.to().stream().findFirst().or(() -> other).orElse(event.from());
        Debt debt = Debt.ofPromise(event, to, facts.inReturn(), facts.inReturnBy());
        paused.add(new Paused(debt, List.copyOf(facts.asked()), event.messageId()));
    }

    /** Theirs is awaited once I have. */
    void theirs(TurnEvent event) {
        Facts facts = event.facts();
        if (facts.asksMe() && !facts.inReturn().isEmpty() && !awaiting.has(event.from())) {
            asking.add(new Awaited(
                    event.from(),
                    event.messageId(),
                    event.sentAt(),
                    facts.inReturnBy(),
                    true,
                    facts.inReturn(),
                    false));
        }
    }

    /** Whether it is one of mine: the message that promises it asks as well. */
    static boolean isOne(Paused rest) {
        return rest.debt().messageId().equals(rest.question());
    }

    /** Whether it is one of theirs: who does not give what they ask is promised nothing. */
    boolean isOne(Awaited waiting) {
        return earlier.message(waiting.messageId())
                .filter(message -> message.direction() == Direction.INCOMING
                        && !message.facts().inReturn().isEmpty())
                .isPresent();
    }
}
