package org.squallnote.e2e;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/** The moments at which tests play. All lie in the past, so that no mail seems to come from the future. */
final class Days {

    static final ZoneId ZONE = ZoneId.of("Europe/London");

    /** A Wednesday morning in working hours. */
    static final Instant WORKING_DAY = Instant.parse("2026-03-04T10:40:00Z");

    static final Instant SATURDAY = Instant.parse("2026-03-07T13:05:00Z");
    static final Instant LAST_DAY_OF_A_MONTH = Instant.parse("2026-03-31T15:20:00Z");

    /** Half past midnight, an hour before the clock goes forward. */
    static final Instant CLOCK_CHANGE_SUNDAY = Instant.parse("2026-03-29T00:30:00Z");

    private Days() {}

    /** A clock that starts at a moment. */
    static Clock clockFrom(Instant start) {
        return Clock.offset(Clock.systemUTC(), Duration.between(Instant.now(), start));
    }
}
