package org.squallnote.formats.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.zone.ZoneRules;
import java.util.Locale;
import java.util.Optional;

/**
 * A DATE or DATE-TIME (RFC 5545 sections 3.3.4 and 3.3.5).
 *
 * @param local what the clock on the wall shows; midnight of a date
 * @param dateOnly whether it is a date
 * @param zone the rules of its zone; absent where it floats, and for dates, which are those of whoever looks
 */
record Moment(LocalDateTime local, boolean dateOnly, Optional<ZoneRules> zone) {

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("uuuuMMdd", Locale.ROOT);
    private static final DateTimeFormatter DATE_TIME = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss", Locale.ROOT);

    private static final ZoneRules UTC = ZoneOffset.UTC.getRules();

    /** Years beyond these are somebody's mistake. */
    private static final int FIRST_YEAR = 1900;

    private static final int LAST_YEAR = 2200;

    /**
     * Reads a value.
     *
     * @param zone of the property's TZID; a {@code Z} at the end of the value wins
     * @throws UnreadableEventException when it is none
     */
    static Moment read(String text, Optional<ZoneRules> zone) throws UnreadableEventException {
        String value = text.strip().toUpperCase(Locale.ROOT);
        try {
            if (value.length() == 8) {
                return checked(new Moment(LocalDate.parse(value, DATE).atStartOfDay(), true, Optional.empty()));
            }
            boolean utc = value.endsWith("Z");
            String local = utc ? value.substring(0, value.length() - 1) : value;
            // A leap second is none that a calendar needs.
            String possible = local.endsWith("60") ? local.substring(0, local.length() - 2) + "59" : local;
            String withSeconds = possible.length() == 13 ? possible + "00" : possible;
            return checked(
                    new Moment(LocalDateTime.parse(withSeconds, DATE_TIME), false, utc ? Optional.of(UTC) : zone));
        } catch (DateTimeParseException e) {
            throw new UnreadableEventException("\"" + shortened(text) + "\" is no date", e);
        }
    }

    private static Moment checked(Moment moment) throws UnreadableEventException {
        int year = moment.local().getYear();
        if (year < FIRST_YEAR || year > LAST_YEAR) {
            throw new UnreadableEventException("The year " + year + " is out of reach", null);
        }
        return moment;
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }

    /**
     * The moment.
     *
     * @param own the zone of whoever looks, for what floats
     */
    Instant at(ZoneRules own) {
        return at(local, zone.orElse(own));
    }

    /**
     * A time of the wall clock as a moment: one that a clock change skips is counted with the offset before it, one that
     * comes twice is the first (RFC 5545 section 3.3.5).
     */
    static Instant at(LocalDateTime local, ZoneRules rules) {
        ZoneOffset before = Optional.ofNullable(rules.getTransition(local))
                .map(change -> change.getOffsetBefore())
                .orElseGet(() -> rules.getOffset(local));
        return local.toInstant(before);
    }

    /** The same with another time on the wall. */
    Moment moved(LocalDateTime to) {
        return new Moment(dateOnly ? to.toLocalDate().atTime(LocalTime.MIDNIGHT) : to, dateOnly, zone);
    }
}
