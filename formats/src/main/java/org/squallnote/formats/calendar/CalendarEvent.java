package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.VObjectProperty;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Period;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A VEVENT (RFC 5545 section 3.6.1): a single event, a series, or what one time of a series has of its own.
 *
 * @param instead which time of the series this stands for
 * @param andFollowing whether it stands for all times after that too (RANGE=THISANDFUTURE)
 * @param end when it ends, where it says so; otherwise its length counts
 * @param days the whole days of its length on the wall clock
 * @param length what its length is beyond them
 */
record CalendarEvent(
        Optional<Moment> instead,
        boolean andFollowing,
        Moment start,
        Optional<Moment> end,
        int days,
        Duration length,
        List<SeriesRule> rules,
        List<Moment> more,
        List<Moment> except,
        String title,
        String place,
        boolean cancelled,
        boolean tentative,
        boolean transparent,
        Set<String> declinedBy) {

    private static final int LONGEST_TITLE = 300;

    /** Nothing lasts longer, in days. */
    private static final int LONGEST_DAYS = 2_000;

    /** A series has one rule; more than a few are not read. */
    private static final int MOST_RULES = 4;

    /** So many single dates are read of a series. */
    private static final int MOST_DATES = 10_000;

    static CalendarEvent read(Properties properties, TimeZones zones) throws UnreadableEventException {
        Optional<VObjectProperty> from = properties.first("DTSTART");
        if (from.isEmpty()) {
            throw new UnreadableEventException("It says no start", null);
        }
        Moment start = moment(from.get(), zones);
        Optional<Moment> end = Optional.empty();
        if (properties.first("DTEND").isPresent()) {
            Moment said = moment(properties.first("DTEND").get(), zones);
            end = said.dateOnly() == start.dateOnly() ? Optional.of(said) : Optional.empty();
        }
        String duration = properties.word("DURATION");
        int days = days(duration);
        Optional<VObjectProperty> instead = properties.first("RECURRENCE-ID");
        String title = properties.text("SUMMARY", LONGEST_TITLE);
        return new CalendarEvent(
                instead.isPresent() ? Optional.of(moment(instead.get(), zones)) : Optional.empty(),
                instead.map(it -> "THISANDFUTURE"
                                .equalsIgnoreCase(it.getParameters().first("RANGE")))
                        .orElse(false),
                start,
                end,
                start.dateOnly() && end.isEmpty() && days == 0 ? 1 : days,
                length(duration),
                rules(properties),
                dates(properties, "RDATE", zones),
                dates(properties, "EXDATE", zones),
                title.isEmpty() ? "(no title)" : title,
                properties.text("LOCATION", LONGEST_TITLE),
                properties.word("STATUS").equals("CANCELLED"),
                properties.word("STATUS").equals("TENTATIVE"),
                properties.word("TRANSP").equals("TRANSPARENT"),
                declinedBy(properties));
    }

    /** The moment that a property says. */
    static Moment moment(VObjectProperty property, TimeZones zones) throws UnreadableEventException {
        return Moment.read(property.getValue(), zone(property, zones));
    }

    private static Optional<ZoneRules> zone(VObjectProperty property, TimeZones zones) {
        return Optional.ofNullable(property.getParameters().first("TZID")).flatMap(zones::of);
    }

    private static List<SeriesRule> rules(Properties properties) throws UnreadableEventException {
        List<SeriesRule> rules = new ArrayList<>();
        for (VObjectProperty rule : properties.all("RRULE")) {
            if (rules.size() < MOST_RULES) {
                rules.add(SeriesRule.read(rule.getValue()));
            }
        }
        return rules;
    }

    private static List<Moment> dates(Properties properties, String name, TimeZones zones)
            throws UnreadableEventException {
        List<Moment> dates = new ArrayList<>();
        for (VObjectProperty property : properties.all(name)) {
            Optional<ZoneRules> zone = zone(property, zones);
            for (String value : property.getValue().split(",")) {
                // Of a PERIOD the start counts; its length is that of the others.
                String start = value.contains("/") ? value.substring(0, value.indexOf('/')) : value;
                if (!start.isBlank() && dates.size() < MOST_DATES) {
                    dates.add(Moment.read(start, zone));
                }
            }
        }
        return dates;
    }

    /** Who has declined, by address, lower case. */
    private static Set<String> declinedBy(Properties properties) {
        return properties.all("ATTENDEE").stream()
                .filter(each -> "DECLINED".equalsIgnoreCase(each.getParameters().first("PARTSTAT")))
                .map(each -> each.getValue().strip().toLowerCase(Locale.ROOT).replaceFirst("^mailto:", ""))
                .collect(java.util.stream.Collectors.toUnmodifiableSet());
    }

    /** The nominal part of a DURATION (RFC 5545 section 3.3.6), in days. */
    private static int days(String duration) throws UnreadableEventException {
        String nominal = duration.replaceFirst("T.*", "").replaceFirst("^\\+", "");
        if (nominal.isEmpty() || nominal.equals("P")) {
            return 0;
        }
        try {
            long days = LocalDate.EPOCH.until(LocalDate.EPOCH.plus(Period.parse(nominal)), ChronoUnit.DAYS);
            return (int) Math.max(0, Math.min(days, LONGEST_DAYS));
        } catch (DateTimeException | ArithmeticException e) {
            throw new UnreadableEventException("Its length cannot be read", e);
        }
    }

    private static Duration length(String duration) throws UnreadableEventException {
        int time = duration.indexOf('T');
        if (time < 0) {
            return Duration.ZERO;
        }
        try {
            Duration length = Duration.parse("P" + duration.substring(time));
            return length.isNegative() ? Duration.ZERO : length;
        } catch (DateTimeParseException | ArithmeticException e) {
            throw new UnreadableEventException("Its length cannot be read", e);
        }
    }

    /** When a time of it that begins then is over. */
    Instant endOf(LocalDateTime begins, ZoneRules own) {
        ZoneRules zone = start.zone().orElse(own);
        Instant from = Moment.at(begins, zone);
        if (end.isEmpty()) {
            return Moment.at(begins.plusDays(days), zone).plus(length);
        }
        Moment said = end.get();
        if (start.dateOnly()) {
            long between = Duration.between(start.local(), said.local()).toDays();
            return Moment.at(begins.plusDays(Math.max(1, Math.min(between, LONGEST_DAYS))), own);
        }
        Duration exact = Duration.between(start.at(own), said.at(own));
        return exact.isNegative()
                ? from
                : from.plus(exact.toDays() > LONGEST_DAYS ? Duration.ofDays(LONGEST_DAYS) : exact);
    }
}
