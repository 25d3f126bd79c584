package org.squallnote.server.source.calendar;

import java.net.URI;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.message.Party;
import org.squallnote.core.source.Source;
import org.squallnote.formats.calendar.ItipWriter;
import org.squallnote.server.calendar.CalendarContents;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.outbox.EventWork;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.secret.Reaches;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.calendar.CalendarAccess;
import org.squallnote.sources.calendar.CalendarProblem;
import org.squallnote.sources.calendar.EventWriter;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.source.SourceStore;

/** Writes events; what was written is shown at once, and not only when the calendar is read the next time. */
@Component
class CalendarEventWork implements EventWork {

    private final CalendarStore calendars;
    private final SourceStore sources;
    private final CalendarContents contents;
    private final SourceSecrets secrets;
    private final Reaches reaches;
    private final OwnerLocks locks;

    CalendarEventWork(
            CalendarStore calendars,
            SourceStore sources,
            CalendarContents contents,
            SourceSecrets secrets,
            Reaches reaches,
            OwnerLocks locks) {
        this.calendars = calendars;
        this.sources = sources;
        this.contents = contents;
        this.secrets = secrets;
        this.reaches = reaches;
        this.locks = locks;
    }

    @Override
    public void write(Source source, Payloads.Event event) throws CalendarProblem {
        Optional<Calendar> calendar = calendars.byId(source.owner(), event.calendarId());
        if (calendar.isEmpty()) {
            // It was taken away together with everything in it.
            return;
        }
        EventWriter writer = new EventWriter(secrets.secret(source, CalendarAccess.class), reaches.of(source.owner()));
        URI place = URI.create(calendar.get().href());
        if (event.own() == null && event.said() == null) {
            Optional<String> gone = writer.remove(place, event.uid());
            locks.write(
                    source.owner(),
                    () -> contents.putFetched(
                            calendar.get(), List.of(), gone.stream().toList()));
            return;
        }
        Optional<EventWriter.Written> written = writer.put(place, event.uid(), now -> become(source, event, now));
        written.ifPresent(it -> locks.write(
                source.owner(),
                () -> contents.putFetched(
                        calendar.get(),
                        List.of(new CalendarContents.Fetched(it.href(), it.etag(), it.body())),
                        List.of())));
    }

    private Optional<String> become(Source source, Payloads.Event event, Optional<String> now) {
        if (event.own() != null) {
            return ItipWriter.same(now, event.own()) ? Optional.empty() : Optional.of(event.own());
        }
        Set<String> mine = new TreeSet<>(sources.addresses(source.owner()));
        Party me = new Party("", mine.stream().findFirst().orElse(""));
        return ItipWriter.intoCalendar(
                now,
                event.said() == null ? "" : event.said(),
                new ItipWriter.Answering(me, mine),
                Optional.ofNullable(event.participation()).map(Participation::valueOf));
    }
}
