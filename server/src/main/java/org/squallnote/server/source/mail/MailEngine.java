package org.squallnote.server.source.mail;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.outbox.OutboxRunner;
import org.squallnote.server.outbox.UpToDate;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.SourceEngine;
import org.squallnote.server.source.SourceJournals;
import org.squallnote.sources.mail.MailSettings;
import org.squallnote.sources.mail.MailSync;

/** Reads mail accounts by IMAP and sends by SMTP. */
@Component
class MailEngine implements SourceEngine {

    private final SourceSecrets secrets;
    private final SourceJournals journals;
    private final OutboxRunner.Tools outboxTools;

    MailEngine(SourceSecrets secrets, SourceJournals journals, OutboxRunner.Tools outboxTools) {
        this.secrets = secrets;
        this.journals = journals;
        this.outboxTools = outboxTools;
    }

    @Override
    public SourceKind kind() {
        return SourceKind.MAIL;
    }

    @Override
    public Running start(Source source, Instant since) {
        MailSettings settings = secrets.mailSettings(source);
        UpToDate status = new UpToDate(journals.status(source));
        MailSync sync = new MailSync(
                secrets.mailAccount(source),
                LocalDate.ofInstant(since, ZoneOffset.UTC),
                journals.mail(source, settings.sent()),
                status);
        OutboxRunner outbox = new OutboxRunner(source, outboxTools, Optional.empty(), Optional.of(status));
        sync.start();
        outbox.start();
        return new Running(sync, Optional.of(outbox));
    }
}
