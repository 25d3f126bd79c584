package org.squallnote.server.outbox;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** What is on its way, and what needs the user because nobody else can know. */
@RestController
class OutboxController {

    private final Unsettled unsettled;

    OutboxController(Unsettled unsettled) {
        this.unsettled = unsettled;
    }

    record OutboxLine(
            UUID id,
            UUID commandId,
            OutboxKind kind,
            OutboxState state,
            @Nullable UUID messageId,
            String about,
            Instant notBefore,
            int attempts,
            String lastError) {}

    @GetMapping("/api/outbox")
    List<OutboxLine> unsettled(@CurrentAccount SignedIn me) {
        return unsettled.all(me.accountId()).stream()
                .map(entry -> new OutboxLine(
                        entry.id(),
                        entry.commandId(),
                        entry.kind(),
                        entry.state(),
                        entry.messageId(),
                        unsettled.about(entry),
                        entry.notBefore(),
                        entry.attempts(),
                        entry.lastError()))
                .toList();
    }

    /** The user knows that it has not gone out, or wants it tried again. */
    @PostMapping("/api/outbox/{id}/send-again")
    Done sendAgain(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return unsettled.sendAgain(me, commandId, id);
    }

    /** The user knows that it has gone out. */
    @PostMapping("/api/outbox/{id}/went-out")
    Done wentOut(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return unsettled.wentOut(me, commandId, id);
    }

    /** The user gives it up. */
    @PostMapping("/api/outbox/{id}/give-up")
    Done giveUp(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return unsettled.giveUp(me, commandId, id);
    }
}
