package org.squallnote.server.source.calendar;

import java.net.URI;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.invitation.Participation;
import org.squallnote.core.message.Party;
import org.squallnote.core.source.Source;
import org.squallnote.core.todo.Todo;
import org.squallnote.formats.calendar.ItipWriter;
import org.squallnote.server.calendar.CalendarContents;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.outbox.CalendarWork;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.secret.Reaches;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.calendar.CalendarAccess;
import org.squallnote.sources.calendar.CalendarProblem;
import org.squallnote.sources.calendar.ObjectWriter;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.source.SourceStore;
import org.squallnote.store.todo.TodoStore;

/** Writes events and tasks; what was written is shown at once, and not only when the calendar is read the next time. */
@Component
class CalendarWriting implements CalendarWork {

    private final CalendarStore calendars;
    private final SourceStore sources;
    private final CalendarContents contents;
    private final SourceSecrets secrets;
    private final Reaches reaches;
    private final TodoStore todos;
    private final WorkingTimes workingTimes;
    private final OwnerLocks locks;
    private final Clock clock;

    CalendarWriting(
            CalendarStore calendars,
            SourceStore sources,
            CalendarContents contents,
            SourceSecrets secrets,
            Reaches reaches,
            TodoStore todos,
            WorkingTimes workingTimes,
            OwnerLocks locks,
            Clock clock) {
        this.calendars = calendars;
        this.sources = sources;
        this.contents = contents;
        this.secrets = secrets;
        this.reaches = reaches;
        this.todos = todos;
        this.workingTimes = workingTimes;
        this.locks = locks;
        this.clock = clock;
    }

    @Override
    public void write(Source source, Payloads.Event event) throws CalendarProblem {
        Optional<Calendar> calendar = calendars.byId(source.owner(), event.calendarId());
        if (calendar.isEmpty()) {
            // It was taken away together with everything in it.
            return;
        }
        ObjectWriter writer = writer(source, ObjectWriter.Kind.EVENTS);
        URI place = URI.create(calendar.get().href());
        if (event.own() == null && event.said() == null) {
            Optional<String> gone = writer.remove(place, event.uid(), there -> true);
            gone.ifPresent(href -> put(calendar.get(), List.of(), List.of(href)));
            return;
        }
        Optional<ObjectWriter.Written> written =
                writer.put(place, event.uid(), now -> become(source, event, now.map(ObjectWriter.Written::body)));
        written.ifPresent(it -> put(calendar.get(), List.of(fetched(it)), List.of()));
    }

    private ObjectWriter writer(Source source, ObjectWriter.Kind kind) {
        return new ObjectWriter(secrets.secret(source, CalendarAccess.class), reaches.of(source.owner()), kind);
    }

    private void put(Calendar calendar, List<CalendarContents.Fetched> fetched, List<String> gone) {
        locks.write(calendar.owner(), () -> contents.putFetched(calendar, fetched, gone));
    }

    private static CalendarContents.Fetched fetched(ObjectWriter.Written written) {
        return new CalendarContents.Fetched(written.href(), written.etag(), written.body());
    }

    @Override
    public void write(Source source, Payloads.Task task) throws CalendarProblem {
        Optional<Calendar> calendar = calendars.byId(source.owner(), task.calendarId());
        if (calendar.isEmpty()) {
            return;
        }
        ObjectWriter writer = writer(source, ObjectWriter.Kind.TASKS);
        URI place = URI.create(calendar.get().href());
        TaskChange change = new TaskChange(
                task, clock.instant(), workingTimes.of(source.owner()).zone());
        Todo become = task.become();
        if (become == null) {
            Optional<String> gone = writer.remove(place, task.uid(), change::isAsExpected);
            gone.ifPresent(href -> put(calendar.get(), List.of(), List.of(href)));
            return;
        }
        Optional<ObjectWriter.Written> there =
                writer.put(place, task.uid(), change::of).or(change::found);
        there.ifPresent(it -> locks.write(source.owner(), () -> {
            CalendarContents.Fetched fetched = fetched(it);
            contents.putFetched(calendar.get(), List.of(fetched), List.of());
            // What says something else was changed there meanwhile: it is compared as if it had been read.
            if (change.says(it, become)) {
                todos.noteWritten(source.owner(), task.uid(), become, CalendarContents.state(fetched));
            }
        }));
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
