package org.squallnote.core.calendar;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.time.Busy;

/**
 * One time at which something in a calendar takes place: a single event, or one of a series.
 *
 * @param uid the event's UID (RFC 5545 section 3.8.4.7)
 * @param place where it is, empty where it does not say
 * @param fromInclusive its start; of one that lasts all day the midnight before it in the account's zone
 * @param toExclusive its end, not before the start
 * @param tentative whether it is not settled yet
 * @param opaque whether it takes time by its own words (TRANSP, RFC 5545 section 3.8.2.7) and I have not declined it
 */
public record Meeting(
        UUID calendarId,
        String uid,
        String title,
        String place,
        Instant fromInclusive,
        Instant toExclusive,
        boolean allDay,
        boolean tentative,
        boolean opaque) {

    /** Whether any of it lies in a span of time. */
    public boolean reaches(Instant from, Instant to) {
        return fromInclusive.isBefore(to)
                && (toExclusive.isAfter(from) || (toExclusive.equals(fromInclusive) && !fromInclusive.isBefore(from)));
    }

    /**
     * The time it takes of a day.
     *
     * @param use what its calendar is for
     * @param minutesAround that are needed before and after one that has a place and does not last all day
     * @return absent where it takes none
     */
    public Optional<Busy> busy(CalendarUse use, int minutesAround) {
        if (use != CalendarUse.BUSY || !opaque || !fromInclusive.isBefore(toExclusive)) {
            return Optional.empty();
        }
        long around = allDay || place.isBlank() ? 0 : minutesAround * 60L;
        return Optional.of(new Busy(fromInclusive.minusSeconds(around), toExclusive.plusSeconds(around)));
    }
}
