package org.squallnote.server.outbox;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.outbox.OutboxStore;
import tools.jackson.databind.json.JsonMapper;

/** What is on its way, and what needs the user because nobody else can know. */
@RestController
class OutboxController {

    private final OutboxStore store;
    private final Outbox outbox;
    private final MessageStore messages;
    private final MailArrivals arrivals;
    private final Commands commands;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final JsonMapper json;

    OutboxController(
            OutboxStore store,
            Outbox outbox,
            MessageStore messages,
            MailArrivals arrivals,
            Commands commands,
            ApplicationEventPublisher events,
            Clock clock,
            JsonMapper json) {
        this.store = store;
        this.outbox = outbox;
        this.messages = messages;
        this.arrivals = arrivals;
        this.commands = commands;
        this.events = events;
        this.clock = clock;
        this.json = json;
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
    List<OutboxLine> unsettled(@Me SignedIn me) {
        return store.unsettled(me.accountId()).stream()
                .map(entry -> new OutboxLine(
                        entry.id(),
                        entry.commandId(),
                        entry.kind(),
                        entry.state(),
                        entry.messageId(),
                        about(me, entry),
                        entry.notBefore(),
                        entry.attempts(),
                        entry.lastError()))
                .toList();
    }

    private String about(SignedIn me, OutboxEntry entry) {
        if (entry.messageId() == null) {
            return "";
        }
        return messages.byId(me.accountId(), entry.messageId())
                .map(message -> message.from().displayName() + ", " + message.subject())
                .orElse("");
    }

    /** The user knows that it has not gone out, or wants it tried again. */
    @PostMapping("/api/outbox/{id}/send-again")
    Done sendAgain(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return commands.run(me, commandId, "send-again", changes -> {
            OutboxEntry entry = stuck(me, id);
            settle(me, entry, OutboxState.WAITING, changes);
            changes.label((sends(entry) ? "Sent again: " : "Tried again: ") + about(me, entry));
            events.publishEvent(new Outbox.Added(entry.sourceId()));
        });
    }

    /** The user knows that it has gone out. */
    @PostMapping("/api/outbox/{id}/went-out")
    Done wentOut(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return commands.run(me, commandId, "went-out", changes -> {
            OutboxEntry entry = stuck(me, id);
            settle(me, entry, OutboxState.DONE, changes);
            if (entry.kind() == OutboxKind.SEND_MAIL) {
                byte[] raw = Base64.getDecoder()
                        .decode(json.readValue(entry.payload(), Payloads.Mail.class)
                                .raw());
                arrivals.takeIn(
                        new MailArrivals.Origin(me.accountId(), entry.sourceId(), "", 0, true, false),
                        List.of(new ArrivedMail(0, clock.instant(), RawMail.of(raw), MailParser.parse(raw))));
                outbox.add(
                        me.accountId(),
                        entry.sourceId(),
                        commandId,
                        OutboxKind.APPEND_SENT,
                        entry.identity(),
                        entry.messageId(),
                        json.readTree(entry.payload()),
                        Duration.ZERO);
            }
            changes.label("Noted as sent: " + about(me, entry));
        });
    }

    /** The user gives it up. */
    @PostMapping("/api/outbox/{id}/give-up")
    Done giveUp(@Me SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return commands.run(me, commandId, "give-up", changes -> {
            OutboxEntry entry = stuck(me, id);
            settle(me, entry, OutboxState.CANCELLED, changes);
            changes.label((sends(entry) ? "Not sent: " : "Left as it is: ") + about(me, entry));
        });
    }

    private static boolean sends(OutboxEntry entry) {
        return entry.kind() == OutboxKind.SEND_MAIL || entry.kind() == OutboxKind.SEND_CHAT;
    }

    private OutboxEntry stuck(SignedIn me, UUID id) {
        OutboxEntry entry = store.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("entry"));
        if (entry.state() != OutboxState.UNCERTAIN && entry.state() != OutboxState.FAILED) {
            throw Refusal.conflict("This is settled already. Nothing was changed.");
        }
        return entry;
    }

    private void settle(SignedIn me, OutboxEntry entry, OutboxState to, Changes changes) {
        Instant now = clock.instant();
        int moved = store.move(me.accountId(), entry.id(), entry.state(), to, 0, "", now, now);
        if (moved == 0) {
            throw Refusal.conflict("This was settled in another window already.");
        }
        changes.touch(Topic.OUTBOX, Topic.THREADS);
    }
}
