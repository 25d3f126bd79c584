package org.squallnote.server.reminder;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Party;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.formats.mail.OutgoingMail;
import org.squallnote.server.answer.Sending;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.store.source.SourceStore;

/** Mails from an account to itself, through its own first mailbox; each once, whatever happens. */
@Component
class NotesToMyself {

    private final SourceStore sources;
    private final SourceSecrets secrets;
    private final WorkingTimes workingTimes;
    private final Outbox outbox;
    private final Clock clock;

    NotesToMyself(SourceStore sources, SourceSecrets secrets, WorkingTimes workingTimes, Outbox outbox, Clock clock) {
        this.sources = sources;
        this.secrets = secrets;
        this.workingTimes = workingTimes;
        this.outbox = outbox;
        this.clock = clock;
    }

    /**
     * Sends one; without a mailbox there is none.
     *
     * @param id keeps it from being sent twice
     */
    void send(UUID owner, UUID id, String subject, String text) {
        Optional<Source> mailbox = sources.of(owner).stream()
                .filter(source -> source.kind() == SourceKind.MAIL && source.removedAt() == null)
                .findFirst();
        mailbox.ifPresent(source -> {
            String identity = "note." + id + "@" + Sending.domain(source);
            Party me = new Party(secrets.mailSettings(source).fromName(), source.address());
            byte[] raw = new OutgoingMail(
                            identity,
                            me,
                            List.of(me),
                            List.of(),
                            List.of(),
                            subject.replaceAll("\\s+", " ").strip(),
                            text.isBlank() ? subject : text,
                            clock.instant().atZone(workingTimes.of(owner).zone()),
                            Optional.empty(),
                            List.of(),
                            List.of(),
                            Optional.empty(),
                            true)
                    .toBytes();
            outbox.addMail(source, id, identity, null, raw, Duration.ZERO);
        });
    }
}
