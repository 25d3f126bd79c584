package org.squallnote.core.turn;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.message.Party;

/** What I owe, as tests need it. */
public final class Debts {

    private Debts() {}

    /** An ask of mine to answer. */
    public static Debt asked(Party by, UUID message, Instant since, Optional<LocalDateTime> until) {
        return DebtBuilder.builder()
                .reason(Debt.Reason.ASKED)
                .to(by)
                .messageId(message)
                .since(since)
                .by(until)
                .what("")
                .others(Set.of())
                .build();
    }
}
