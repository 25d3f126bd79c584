package org.squallnote.server.outbox;

import org.squallnote.core.source.Source;
import org.squallnote.sources.calendar.CalendarProblem;

/** Writes into the calendars of an account. What is done twice, as after a kill, is as if it was done once. */
public interface CalendarWork {

    /** Writes an event, or takes it away. */
    void write(Source source, Payloads.Event event) throws CalendarProblem;

    /** Writes a task, or takes it away. */
    void write(Source source, Payloads.Task task) throws CalendarProblem;
}
