package org.squallnote.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import net.fortuna.ical4j.model.Recur;
import org.junit.jupiter.api.Test;
import org.squallnote.core.calendar.Meeting;

/** Series are those that another library works out, on random rules, across clock changes and on 29 February. */
class SeriesTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final LocalDateTime FIRST = LocalDateTime.parse("2024-01-01T00:00");
    private static final LocalDateTime FROM = LocalDateTime.parse("2026-01-01T00:00");
    private static final LocalDateTime TO = LocalDateTime.parse("2028-04-01T00:00");

    @Test
    void theyEqualThoseOfAnotherLibrary() {
        Random random = new Random(2900);
        int times = 0;
        for (int run = 0; run < 600; run++) {
            LocalDateTime start = random.nextInt(9) == 0
                    ? LocalDateTime.parse("2024-02-29T09:30")
                    : FIRST.plusDays(random.nextInt(700)).plusMinutes(15L * random.nextInt(96));
            String rule = rule(random, start);
            List<Instant> ours = ours(start, rule);
            assertThat(ours).as("%s from %s", rule, start).isEqualTo(theirs(start, rule));
            times += ours.size();
        }
        assertThat(times).isGreaterThan(10_000);
    }

    private static List<Instant> ours(LocalDateTime start, String rule) {
        String calendar = "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTART;TZID=Europe/London:"
                + start.toString().replaceAll("[-:]", "") + "00\r\nRRULE:" + rule
                + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        return CalendarReader.read(calendar)
                .objects()
                .get(0)
                .times(
                        UUID.randomUUID(),
                        LONDON,
                        FROM.atZone(LONDON).toInstant(),
                        TO.atZone(LONDON).toInstant(),
                        Set.of())
                .stream()
                .map(Meeting::fromInclusive)
                .toList();
    }

    /**
     * The first time belongs to the series whatever the rule says (RFC 5545 section 3.8.5.3), and weeks start on Monday where
     * nothing is said (section 3.3.10); the other library has to be told both.
     */
    private static List<Instant> theirs(LocalDateTime start, String rule) {
        ZonedDateTime first = start.atZone(LONDON);
        List<ZonedDateTime> dates = new ArrayList<>(new Recur<ZonedDateTime>(rule + ";WKST=MO")
                .getDates(first, FROM.atZone(LONDON), TO.minusMinutes(1).atZone(LONDON)));
        if (!start.isBefore(FROM) && !dates.contains(first)) {
            dates.add(first);
        }
        return dates.stream().map(ZonedDateTime::toInstant).distinct().sorted().toList();
    }

    private static String rule(Random random, LocalDateTime start) {
        String rule = switch (random.nextInt(6)) {
            case 0 -> "FREQ=DAILY;INTERVAL=" + (1 + random.nextInt(40));
            case 1 -> "FREQ=WEEKLY;INTERVAL=" + (1 + random.nextInt(3)) + ";BYDAY=" + days(random);
            case 2 -> "FREQ=MONTHLY;BYDAY=" + (random.nextBoolean() ? "-1" : 1 + random.nextInt(4)) + day(random);
            case 3 ->
                "FREQ=MONTHLY;BYMONTHDAY=" + (random.nextBoolean() ? -1 - random.nextInt(4) : 28 + random.nextInt(4));
            case 4 -> "FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1";
            default -> "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29";
        };
        return switch (random.nextInt(3)) {
            case 0 -> rule + ";COUNT=" + (1 + random.nextInt(80));
            case 1 ->
                rule + ";UNTIL="
                        + start.plusDays(random.nextInt(1200)).toString().replaceAll("[-:]", "") + "00Z";
            default -> rule;
        };
    }

    private static String days(Random random) {
        String first = day(random);
        String second = day(random);
        return first.equals(second) ? first : first + "," + second;
    }

    private static String day(Random random) {
        return List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU").get(random.nextInt(7));
    }
}
