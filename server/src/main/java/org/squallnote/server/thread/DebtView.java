package org.squallnote.server.thread;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Debt;

/**
 * Something I owe.
 *
 * @param byDay the deadline or the promised day, with its time where it has one
 * @param late whether that is over
 * @param what the ask or the promise in the writer's words
 * @param answeredBy who answered in my place
 */
record DebtView(
        Debt.Reason reason,
        String to,
        String address,
        UUID messageId,
        Instant since,
        @Nullable LocalDate byDay,
        @Nullable LocalTime byTime,
        boolean late,
        String what,
        @Nullable String answeredBy) {

    static DebtView of(Debt debt, LocalDateTime now) {
        return new DebtView(
                debt.reason(),
                debt.to().displayName(),
                debt.to().address(),
                debt.messageId(),
                debt.since(),
                By.day(debt.by()),
                By.time(debt.by()),
                debt.isLate(now),
                debt.what(),
                debt.answeredBy().map(Party::displayName).orElse(null));
    }
}
