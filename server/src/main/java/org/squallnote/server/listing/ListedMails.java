package org.squallnote.server.listing;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Party;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.formats.mail.OutgoingMail;
import org.squallnote.formats.table.MailedTable;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.answer.Sending;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.store.source.SourceStore;

/** Mails a list to somebody: as a table to read, with the same for other programs beside it. */
@Component
class ListedMails {

    private final SourceStore sources;
    private final SourceSecrets secrets;
    private final Outbox outbox;
    private final Commands commands;
    private final Clock clock;

    ListedMails(SourceStore sources, SourceSecrets secrets, Outbox outbox, Commands commands, Clock clock) {
        this.sources = sources;
        this.secrets = secrets;
        this.outbox = outbox;
        this.commands = commands;
        this.clock = clock;
    }

    /** Sends it from my first mailbox, after the time in which it can be taken back. */
    Done send(SignedIn me, UUID commandId, String to, MailedTable table) {
        Source mailbox = sources.of(me.accountId()).stream()
                .filter(source -> source.kind() == SourceKind.MAIL && source.removedAt() == null)
                .findFirst()
                .orElseThrow(() -> Refusal.conflict(
                        "There is no mailbox from which it could be sent. Connect one under Settings, or save the list"
                                + " as a file."));
        return commands.run(me, commandId, "list-mailed", changes -> {
            String identity = "list." + commandId + "@" + Sending.domain(mailbox);
            byte[] raw = new OutgoingMail(
                            identity,
                            new Party(secrets.mailSettings(mailbox).fromName(), mailbox.address()),
                            List.of(new Party("", to)),
                            List.of(),
                            List.of(),
                            table.title(),
                            table.text(),
                            clock.instant().atZone(me.zoneId()),
                            Optional.empty(),
                            List.of(),
                            List.of(new OutgoingMail.Attachment(
                                    "list.csv", "text/csv", table.csv().getBytes(StandardCharsets.UTF_8))),
                            Optional.empty(),
                            false,
                            table.html())
                    .toBytes();
            outbox.addMail(mailbox, changes.commandId(), identity, null, raw, outbox.hold());
            changes.label("List mailed to " + to);
        });
    }
}
