package org.squallnote.core.calendar;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;

/**
 * A calendar.
 *
 * @param href where it is in its source; of a file its name
 * @param counts what its meetings are for
 * @param syncToken how far it was read (RFC 6578), or another mark of its state; empty for none
 * @param readAt when it was last seen as it is
 * @param workedIn the zone in which the times of its events were worked out
 * @param workedTo how far they were
 * @param takesEvents whether events may stand in it
 * @param takesTasks whether tasks may, as in a task list
 */
public record Calendar(
        UUID id,
        UUID owner,
        UUID sourceId,
        String href,
        String name,
        CalendarUse counts,
        String syncToken,
        Instant readAt,
        String workedIn,
        Instant workedTo,
        boolean takesEvents,
        boolean takesTasks,
        int version) {

    /** Whether it was last seen longer ago. */
    public boolean isOlderThan(Duration age, Instant now) {
        return readAt.plus(age).isBefore(now);
    }

    /** Whether it is one of an account, into which can be written; not a file, and not one that can only be read. */
    private boolean isOfAccount() {
        return href.startsWith("http://") || href.startsWith("https://");
    }

    /** Whether events can be written into it. */
    public boolean isForEvents() {
        return isOfAccount() && takesEvents;
    }

    /** Whether follow-ups can stand in it as tasks. */
    public boolean isForTasks() {
        return isOfAccount() && takesTasks;
    }

    /** The same called and counted otherwise. */
    public Calendar with(String newName, CalendarUse newCounts) {
        return new Calendar(
                id,
                owner,
                sourceId,
                href,
                newName,
                newCounts,
                syncToken,
                readAt,
                workedIn,
                workedTo,
                takesEvents,
                takesTasks,
                version);
    }
}
