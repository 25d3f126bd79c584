package org.squallnote.server.source.calendar;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.outbox.OutboxRunner;
import org.squallnote.server.secret.Reaches;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.SourceEngine;
import org.squallnote.server.source.SourceJournals;
import org.squallnote.sources.calendar.CalendarAccess;
import org.squallnote.sources.calendar.CalendarSync;

/** Reads calendars. */
@Component
class CalendarEngine implements SourceEngine {

    private final SourceSecrets secrets;
    private final SourceJournals journals;
    private final CalendarJournals calendars;
    private final Reaches reaches;
    private final Duration every;
    private final OutboxRunner.Tools outboxTools;

    CalendarEngine(
            SourceSecrets secrets,
            SourceJournals journals,
            CalendarJournals calendars,
            Reaches reaches,
            @Value("${squallnote.calendars.every:60s}") Duration every,
            OutboxRunner.Tools outboxTools) {
        this.secrets = secrets;
        this.journals = journals;
        this.calendars = calendars;
        this.reaches = reaches;
        this.every = every;
        this.outboxTools = outboxTools;
    }

    @Override
    public SourceKind kind() {
        return SourceKind.CALENDARS;
    }

    @Override
    public Running start(Source source, Instant since) {
        CalendarSync sync = new CalendarSync(
                secrets.secret(source, CalendarAccess.class),
                reaches.of(source.owner()),
                every,
                calendars.of(source),
                journals.status(source));
        OutboxRunner outbox = new OutboxRunner(source, outboxTools, Optional.empty(), Optional.empty());
        sync.start();
        outbox.start();
        return new Running(sync, Optional.of(outbox));
    }

    @Override
    public void disconnected(Source source) {
        calendars.forget(source);
    }
}
