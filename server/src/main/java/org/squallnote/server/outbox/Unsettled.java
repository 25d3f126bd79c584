package org.squallnote.server.outbox;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.outbox.OutboxEntry;
import org.squallnote.core.outbox.OutboxKind;
import org.squallnote.core.outbox.OutboxState;
import org.squallnote.core.todo.Todo;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.MailArrivals;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.outbox.OutboxStore;
import tools.jackson.databind.json.JsonMapper;

/** What is on its way, and what the user decides because nobody else can know. */
@Component
class Unsettled {

    private final OutboxStore store;
    private final Outbox outbox;
    private final MessageStore messages;
    private final MailArrivals arrivals;
    private final Commands commands;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final JsonMapper json;

    Unsettled(
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

    List<OutboxEntry> all(UUID owner) {
        return store.unsettled(owner);
    }

    /** What an entry is about, in words; empty where it is about no message. */
    String about(OutboxEntry entry) {
        if (entry.kind() == OutboxKind.WRITE_TASK) {
            Payloads.Task task = json.readValue(entry.payload(), Payloads.Task.class);
            return Optional.ofNullable(task.become())
                    .or(() -> Optional.ofNullable(task.expects()))
                    .map(Todo::title)
                    .orElse("");
        }
        if (entry.kind() == OutboxKind.WRITE_EVENT) {
            Payloads.Event event = json.readValue(entry.payload(), Payloads.Event.class);
            return Optional.ofNullable(event.own())
                    .or(() -> Optional.ofNullable(event.said()))
                    .map(CalendarReader::titleOf)
                    .orElse("");
        }
        if (entry.messageId() == null) {
            return "";
        }
        return messages.byId(entry.owner(), entry.messageId())
                .map(message -> message.from().displayName() + ", " + message.subject())
                .orElse("");
    }

    /** The user knows that it has not gone out, or wants it tried again. */
    Done sendAgain(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "send-again", changes -> {
            OutboxEntry entry = stuck(me, id);
            settle(entry, OutboxState.WAITING, changes);
            changes.label((entry.kind().sends() ? "Sent again: " : "Tried again: ") + about(entry));
            events.publishEvent(new Outbox.Added(entry.sourceId()));
        });
    }

    /** The user knows that it has gone out. */
    Done wentOut(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "went-out", changes -> {
            OutboxEntry entry = stuck(me, id);
            settle(entry, OutboxState.DONE, changes);
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
            changes.label("Noted as sent: " + about(entry));
        });
    }

    /** The user gives it up. */
    Done giveUp(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "give-up", changes -> {
            OutboxEntry entry = stuck(me, id);
            settle(entry, OutboxState.CANCELLED, changes);
            changes.label((entry.kind().sends() ? "Not sent: " : "Left as it is: ") + about(entry));
        });
    }

    private OutboxEntry stuck(SignedIn me, UUID id) {
        OutboxEntry entry = store.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("entry"));
        if (!entry.state().isStuck()) {
            throw Refusal.conflict("This is settled already. Nothing was changed.");
        }
        return entry;
    }

    private void settle(OutboxEntry entry, OutboxState to, Changes changes) {
        Instant now = clock.instant();
        int moved = store.move(entry.owner(), entry.id(), entry.state(), to, 0, "", now, now);
        if (moved == 0) {
            throw Refusal.conflict("This was settled in another window already. Nothing more is to be done.");
        }
        changes.touch(Topic.OUTBOX, Topic.THREADS);
    }
}
