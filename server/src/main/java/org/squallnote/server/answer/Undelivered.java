package org.squallnote.server.answer;

import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.Source;
import org.squallnote.formats.mail.MailAgain;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;

/** Sends a mail of mine that did not arrive to another address; the report of that is decided by it. */
@Component
class Undelivered {

    /** What mail servers take at most, as a rule. */
    private static final long MOST_BYTES = 25L * 1024 * 1024;

    private static final Comparator<StoredMessage> BY_SENDING = Comparator.comparing(StoredMessage::sentAt);

    private final MessageStore messages;
    private final RawMails rawMails;
    private final Sending sending;
    private final Commands commands;
    private final Decisions decisions;
    private final Outbox outbox;
    private final Clock clock;

    Undelivered(
            MessageStore messages,
            RawMails rawMails,
            Sending sending,
            Commands commands,
            Decisions decisions,
            Outbox outbox,
            Clock clock) {
        this.messages = messages;
        this.rawMails = rawMails;
        this.sending = sending;
        this.commands = commands;
        this.decisions = decisions;
        this.outbox = outbox;
        this.clock = clock;
    }

    /** The mail of mine that a report is about: the one that it names, else the last one in its thread before it. */
    private Optional<StoredMessage> reportedBy(StoredMessage report) {
        if (report.nature() != Nature.BOUNCE) {
            return Optional.empty();
        }
        List<StoredMessage> mine = messages.inThread(report.owner(), report.threadId()).stream()
                .filter(message -> message.direction() == Direction.OUTGOING
                        && message.sentAt().compareTo(report.sentAt()) <= 0)
                .toList();
        return mine.stream()
                .filter(message -> report.refs().list().contains(message.messageId()))
                .max(BY_SENDING)
                .or(() -> mine.stream().max(BY_SENDING));
    }

    Done sendAgain(SignedIn me, UUID commandId, UUID reportId, String address) {
        return commands.run(me, commandId, "send-again", changes -> {
            StoredMessage report = decisions.get(me.accountId(), reportId);
            StoredMessage mail = reportedBy(report)
                    .orElseThrow(() -> Refusal.invalid(
                            "The mail that was not delivered is not here. Write it again from your mail program."));
            decisions.decide(me, report.id(), Decision.ANSWERED, false, changes);
            send(me, report, mail, address, changes);
            changes.label("Sent again to " + address).touch(Topic.OUTBOX);
        });
    }

    private void send(SignedIn me, StoredMessage report, StoredMessage mail, String address, Changes changes) {
        Source source = sending.source(me.accountId(), mail);
        String messageId = changes.commandId() + "@" + Sending.domain(source);
        byte[] bytes;
        try {
            bytes = MailAgain.to(
                    raw(mail),
                    address,
                    messageId,
                    Sending.references(mail),
                    clock.instant().atZone(me.zoneId()));
        } catch (IllegalArgumentException e) {
            throw Refusal.invalid(e.getMessage() + " Nothing was sent.");
        }
        outbox.addMail(source, changes.commandId(), messageId, report.id(), bytes, outbox.hold());
    }

    private byte[] raw(StoredMessage mail) {
        RawMail raw = rawMails.of(mail.owner(), mail.id())
                .filter(found -> found.size() <= MOST_BYTES)
                .orElseThrow(() -> Refusal.invalid(
                        "The mail is too large to be sent from here, or is not kept. Send it from your mail program."));
        return raw.head((int) raw.size());
    }
}
