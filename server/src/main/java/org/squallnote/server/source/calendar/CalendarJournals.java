package org.squallnote.server.source.calendar;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.source.Source;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.server.calendar.CalendarContents;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.sources.calendar.CalendarJournal;
import org.squallnote.sources.calendar.FoundCalendar;
import org.squallnote.store.calendar.CalendarStore;

/** Puts down what calendars of servers say. */
@Component
class CalendarJournals {

    /** That a calendar was seen as it is, is noted no more often. */
    private static final Duration NOTED_EVERY = Duration.ofMinutes(10);

    private final CalendarStore store;
    private final CalendarContents contents;
    private final OwnerLocks locks;
    private final Clock clock;

    CalendarJournals(CalendarStore store, CalendarContents contents, OwnerLocks locks, Clock clock) {
        this.store = store;
        this.contents = contents;
        this.locks = locks;
        this.clock = clock;
    }

    /** Takes the calendars of a source away. */
    void forget(Source source) {
        locks.write(
                source.owner(),
                () -> store.ofSource(source.owner(), source.id()).forEach(contents::remove));
    }

    CalendarJournal of(Source source) {
        return new OfSource(source.owner(), source.id());
    }

    private final class OfSource implements CalendarJournal {

        private final UUID owner;
        private final UUID sourceId;

        OfSource(UUID owner, UUID sourceId) {
            this.owner = owner;
            this.sourceId = sourceId;
        }

        private Optional<Calendar> known(String href) {
            return store.byHref(owner, sourceId, href);
        }

        @Override
        public void calendars(List<FoundCalendar> found) {
            Map<String, FoundCalendar> byHref = new HashMap<>();
            found.forEach(each -> byHref.put(each.href(), each));
            List<Calendar> before = store.ofSource(owner, sourceId);
            boolean same = before.size() == byHref.size()
                    && before.stream().allMatch(calendar -> isAsFound(calendar, byHref.get(calendar.href())));
            if (!same) {
                locks.write(owner, () -> {
                    found.forEach(each ->
                            contents.calendar(owner, sourceId, each.href(), each.name(), each.events(), each.tasks()));
                    for (Calendar calendar : before) {
                        FoundCalendar now = byHref.get(calendar.href());
                        if (now == null) {
                            contents.remove(calendar);
                        } else if (!isAsFound(calendar, now)) {
                            store.noteTakes(owner, calendar.id(), now.events(), now.tasks());
                        }
                    }
                });
            }
        }

        private static boolean isAsFound(Calendar calendar, @Nullable FoundCalendar found) {
            return found != null && calendar.takesEvents() == found.events() && calendar.takesTasks() == found.tasks();
        }

        @Override
        public String state(String calendarHref) {
            return known(calendarHref).map(Calendar::syncToken).orElse("");
        }

        @Override
        public Map<String, String> etags(String calendarHref) {
            Map<String, String> etags = new HashMap<>();
            known(calendarHref)
                    .ifPresent(calendar -> store.states(owner, calendar.id())
                            .forEach(object -> etags.put(object.href(), object.etag())));
            return etags;
        }

        @Override
        public void save(String calendarHref, List<Changed> changed, List<String> gone, String state) {
            locks.write(
                    owner,
                    () -> known(calendarHref).ifPresent(calendar -> {
                        contents.putFetched(
                                calendar,
                                changed.stream()
                                        .map(each ->
                                                new CalendarContents.Fetched(each.href(), each.etag(), each.body()))
                                        .toList(),
                                gone);
                        noteRead(calendar, state.isEmpty() ? calendar.syncToken() : state);
                    }));
        }

        @Override
        public void replace(String calendarHref, String name, byte[] bytes, String state) {
            CalendarReader.Result read = CalendarReader.read(bytes);
            locks.write(owner, () -> {
                Calendar calendar = contents.calendar(
                        owner, sourceId, calendarHref, read.name().isBlank() ? name : read.name());
                contents.put(calendar, read.objects(), true);
                noteRead(calendar, state);
            });
        }

        @Override
        public void unchanged(String calendarHref) {
            Instant now = clock.instant();
            known(calendarHref)
                    .filter(calendar -> calendar.isOlderThan(NOTED_EVERY, now))
                    .ifPresent(calendar -> locks.write(owner, () -> noteRead(calendar, calendar.syncToken())));
        }

        private void noteRead(Calendar calendar, String state) {
            store.noteRead(owner, calendar.id(), state.length() > 2000 ? "whole" : state, clock.instant());
        }
    }
}
