package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.VObjectProperty;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The time zones that a calendar speaks of. One that the time zone database knows is taken from there, since calendars
 * often carry only this year's rules of it; any other is what its VTIMEZONE says (RFC 5545 section 3.6.5).
 */
final class TimeZones {

    /** The rules of a VTIMEZONE are worked out for these years; nobody's meetings lie beyond. */
    private static final LocalDateTime FIRST = LocalDateTime.of(1970, 1, 1, 0, 0);

    private static final LocalDateTime LAST = LocalDateTime.of(2070, 1, 1, 0, 0);
    private static final int MOST_CHANGES = 400;

    /** No calendar speaks of more zones of its own, and none of them has more parts. */
    private static final int MOST = 200;

    private final Map<String, List<Observance>> own = new HashMap<>();
    private final Map<String, Optional<ZoneRules>> known = new HashMap<>();

    /** A part of a VTIMEZONE. */
    record Observance(Properties properties) {}

    /** Takes in a part of a VTIMEZONE. */
    void add(String id, Observance observance) {
        if (own.containsKey(id) || own.size() < MOST) {
            List<Observance> parts = own.computeIfAbsent(id, i -> new ArrayList<>());
            if (parts.size() < MOST) {
                parts.add(observance);
            }
        }
    }

    /** The parts of a zone as they were taken in; none where there are none. */
    List<Observance> observances(String id) {
        return own.getOrDefault(id, List.of());
    }

    /** The rules of a TZID; absent where nobody knows it, and then its times float. */
    Optional<ZoneRules> of(String id) {
        return known.computeIfAbsent(id, this::find);
    }

    private Optional<ZoneRules> find(String id) {
        return fromDatabase(id).or(() -> fromCalendar(observances(id)));
    }

    /** By its name, or by the end of it: some write a path before it. */
    private static Optional<ZoneRules> fromDatabase(String id) {
        String rest = id.strip();
        for (int parts = 0; parts < 8 && !rest.isEmpty(); parts++) {
            if (rest.contains("/") || rest.equals("UTC") || rest.equals("GMT")) {
                try {
                    return Optional.of(ZoneId.of(rest).getRules());
                } catch (DateTimeException e) {
                    // Not this one.
                }
            }
            int slash = rest.indexOf('/');
            rest = slash < 0 ? "" : rest.substring(slash + 1);
        }
        return Optional.empty();
    }

    /** A zone that cannot be read is none. */
    private static Optional<ZoneRules> fromCalendar(List<Observance> observances) {
        try {
            return observances.isEmpty() ? Optional.empty() : Optional.of(rules(observances));
        } catch (UnreadableEventException | DateTimeException e) {
            return Optional.empty();
        }
    }

    private record Change(LocalDateTime at, ZoneOffset before, ZoneOffset after) {}

    private static ZoneRules rules(List<Observance> observances) throws UnreadableEventException {
        List<Change> changes = new ArrayList<>();
        for (Observance observance : observances) {
            addChanges(changes, observance.properties());
        }
        if (changes.isEmpty()) {
            throw new UnreadableEventException("A time zone without rules", null);
        }
        changes.sort(Comparator.comparing(Change::at));
        ZoneOffset offset = changes.get(0).before();
        ZoneOffset first = offset;
        List<ZoneOffsetTransition> transitions = new ArrayList<>();
        for (Change change : changes) {
            boolean later = transitions.isEmpty()
                    || change.at()
                            .isAfter(transitions
                                    .get(transitions.size() - 1)
                                    .getDateTimeBefore()
                                    .plus(Duration.ofHours(24)));
            if (!change.after().equals(offset) && later) {
                transitions.add(ZoneOffsetTransition.of(change.at(), offset, change.after()));
                offset = change.after();
            }
        }
        return ZoneRules.of(first, first, List.of(), transitions, List.of());
    }

    private static void addChanges(List<Change> changes, Properties properties) throws UnreadableEventException {
        ZoneOffset before = offset(properties, "TZOFFSETFROM");
        ZoneOffset after = offset(properties, "TZOFFSETTO");
        Optional<VObjectProperty> start = properties.first("DTSTART");
        if (start.isEmpty()) {
            throw new UnreadableEventException("A time zone's part without a start", null);
        }
        Moment first = Moment.read(start.get().getValue(), Optional.empty());
        changes.add(new Change(first.local(), before, after));
        for (VObjectProperty rule : properties.all("RRULE")) {
            LocalDateTime from = first.local().isBefore(FIRST) ? FIRST : first.local();
            SeriesRule.read(rule.getValue())
                    .times(first, before.getRules(), from, LAST, MOST_CHANGES)
                    .forEach(time -> changes.add(new Change(time, before, after)));
        }
        for (VObjectProperty date : properties.all("RDATE")) {
            for (String value : date.getValue().split(",")) {
                changes.add(new Change(Moment.read(value, Optional.empty()).local(), before, after));
            }
        }
    }

    /** UTC-OFFSET (RFC 5545 section 3.3.14). */
    private static ZoneOffset offset(Properties properties, String name) throws UnreadableEventException {
        String value = properties.word(name);
        try {
            return ZoneOffset.of(value);
        } catch (DateTimeException e) {
            throw new UnreadableEventException("\"" + value + "\" is no offset", e);
        }
    }
}
