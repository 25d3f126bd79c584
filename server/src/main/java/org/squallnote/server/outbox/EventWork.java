package org.squallnote.server.outbox;

import org.squallnote.core.source.Source;
import org.squallnote.sources.calendar.CalendarProblem;

/** Writes into the calendars of an account. What is done twice, as after a kill, is as if it was done once. */
public interface EventWork {

    /** Writes an event, or takes it away. */
    void write(Source source, Payloads.Event event) throws CalendarProblem;
}
