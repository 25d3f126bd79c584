package org.squallnote.server.chase;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseOnItsWay;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.core.turn.Awaited;
import org.squallnote.server.command.Commands;
import org.squallnote.server.live.Topic;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.outbox.OutboxStore;

/** Stops a reminder that waits to go out to somebody who has answered meanwhile. */
@Component
public class CrossingAnswers {

    private final ChaseStore chases;
    private final OutboxStore outbox;
    private final Commands commands;
    private final Clock clock;

    CrossingAnswers(ChaseStore chases, OutboxStore outbox, Commands commands, Clock clock) {
        this.chases = chases;
        this.outbox = outbox;
        this.commands = commands;
        this.clock = clock;
    }

    /** Within the transaction in which an answer came: what is taken out here goes out to nobody. */
    public void stop(UUID owner, UUID threadId, List<Awaited> awaited) {
        for (ChaseOnItsWay chase : chases.chases(owner, threadId)) {
            boolean still =
                    awaited.stream().anyMatch(one -> one.party().address().equals(chase.party()));
            if (!still) {
                waiting(owner, chase).ifPresent(entry -> stop(owner, chase, entry));
            }
        }
    }

    private Optional<OutboxEntry> waiting(UUID owner, ChaseOnItsWay chase) {
        return outbox.byIdentity(owner, chase.sourceId(), OutboxKind.SEND_MAIL, chase.identity())
                .or(() -> outbox.byIdentity(owner, chase.sourceId(), OutboxKind.SEND_CHAT, chase.identity()))
                .filter(entry -> entry.state() == OutboxState.WAITING);
    }

    private void stop(UUID owner, ChaseOnItsWay chase, OutboxEntry entry) {
        Instant now = clock.instant();
        int stopped = outbox.move(
                owner,
                entry.id(),
                OutboxState.WAITING,
                OutboxState.CANCELLED,
                entry.attempts(),
                "",
                entry.notBefore(),
                now);
        if (stopped == 1) {
            commands.runWithin(
                    owner,
                    "chase-stopped",
                    changes -> changes.label("Reminder not sent, an answer has come: " + chase.party())
                            .announce()
                            .touch(Topic.OUTBOX, Topic.THREADS));
        }
    }
}
