package org.squallnote.server.answer;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.AnswerTo;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.Source;
import org.squallnote.formats.mail.OutgoingMail;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.store.draft.DraftFileStore;
import org.squallnote.store.source.SourceStore;

/** Makes the mail of an answer. */
@Component
class Composer {

    private final SourceStore sources;
    private final DraftFileStore files;
    private final SourceSecrets secrets;

    Composer(SourceStore sources, DraftFileStore files, SourceSecrets secrets) {
        this.sources = sources;
        this.files = files;
        this.secrets = secrets;
    }

    /** Who gets an answer. */
    AnswerTo addressees(UUID owner, StoredMessage message, Answers.Written written) {
        AnswerTo.Addressed addressed = new AnswerTo.Addressed(
                message.direction() == Direction.OUTGOING,
                message.from(),
                message.recipients().to(),
                message.recipients().cc(),
                message.recipients().replyTo(),
                message.recipients().wantedFollowup());
        Set<String> mine = new TreeSet<>(sources.addresses(owner));
        return AnswerTo.of(addressed, mine, written.toAll(), written.copies(), written.hidden());
    }

    /** The files that wait to go with an answer. */
    List<OutgoingMail.Attachment> files(UUID owner, UUID messageId) {
        return files.waiting(owner, messageId).stream()
                .map(file -> new OutgoingMail.Attachment(file.name(), file.type(), file.content()))
                .toList();
    }

    /**
     * The mail.
     *
     * @param identity its Message-ID
     * @param automatic whether no person wrote it
     */
    byte[] mail(
            Source source,
            StoredMessage message,
            AnswerTo addressees,
            String text,
            String identity,
            Instant at,
            ZoneId zone,
            List<OutgoingMail.Attachment> attached,
            boolean automatic) {
        return new OutgoingMail(
                        identity,
                        new Party(secrets.mailSettings(source).fromName(), source.address()),
                        addressees.to(),
                        addressees.cc(),
                        addressees.bcc(),
                        OutgoingMail.answerSubject(message.subject()),
                        text,
                        at.atZone(zone),
                        message.messageId().isEmpty() ? Optional.empty() : Optional.of(message.messageId()),
                        Sending.references(message),
                        attached,
                        Optional.empty(),
                        automatic)
                .toBytes();
    }
}
