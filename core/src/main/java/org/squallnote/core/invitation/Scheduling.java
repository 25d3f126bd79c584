package org.squallnote.core.invitation;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.squallnote.core.message.Party;

/**
 * What a scheduling message says of one meeting, or of one time of a series.
 *
 * @param uid of the meeting
 * @param recurrenceId which time of the series, as it is written; empty for the whole
 * @param sequence which form of the meeting (RFC 5546 section 2.1.4)
 * @param stamp when this was written
 * @param allDay whether it takes whole days
 * @param repeats whether it comes again
 * @param comment what its writer has to say
 */
public record Scheduling(
        Method method,
        String uid,
        String recurrenceId,
        int sequence,
        Instant stamp,
        Party organizer,
        List<Attendee> attendees,
        String title,
        String place,
        Instant fromInclusive,
        Instant toExclusive,
        boolean allDay,
        boolean repeats,
        String comment) {

    /** Somebody who is invited. */
    public record Attendee(Party party, Participation participation, boolean optional) {}

    /** What is said later, of the same meeting, counts (RFC 5546 section 2.1.5). */
    static final Comparator<Scheduling> ORDER =
            Comparator.comparingInt(Scheduling::sequence).thenComparing(Scheduling::stamp);

    /** Copies the list. */
    public Scheduling {
        attendees = List.copyOf(attendees);
    }

    /** Whether it takes place at the same time as another form of it. */
    public boolean isWhen(Scheduling other) {
        return fromInclusive.equals(other.fromInclusive) && toExclusive.equals(other.toExclusive);
    }
}
