package org.squallnote.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.calendar.CalendarUse;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.plan.Ahead;
import org.squallnote.core.plan.Horizon;
import org.squallnote.core.plan.Planned;
import org.squallnote.core.plan.Preparations;
import org.squallnote.core.plan.Today;
import org.squallnote.core.time.Busy;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.formats.calendar.CalendarObject;
import org.squallnote.formats.calendar.CalendarReader;

/** What planning costs with a full calendar and a long list. */
final class PlanBench {

    private static final int FOLLOW_UPS = 2_000;
    private static final int EVENTS = 5_000;
    private static final int SERIES = 200;
    private static final int ROUNDS = 40;

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 4);
    private static final Instant NOW = TODAY.atTime(10, 0).atZone(ZONE).toInstant();
    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss", Locale.ROOT);

    private PlanBench() {}

    static void run() {
        String calendar = calendar(new Random(1));
        List<Double> parsing = new ArrayList<>();
        List<Double> whole = new ArrayList<>();
        List<Meeting> meetings = List.of();
        for (int round = 0; round < ROUNDS; round++) {
            long start = System.nanoTime();
            List<CalendarObject> objects = CalendarReader.read(calendar).objects();
            long parsed = System.nanoTime();
            meetings = times(objects);
            long done = System.nanoTime();
            if (round >= ROUNDS / 2) {
                parsing.add((parsed - start) / 1e6);
                whole.add((done - start) / 1e6);
            }
        }
        say(
                "%d events, %d of them series, worked out into the %d times of sixteen months against merely parsing"
                        + " them: %.2f times (goal: at most 2)",
                EVENTS, SERIES, meetings.size(), Bench.median(whole) / Bench.median(parsing));

        List<FollowUp> open = followUps(new Random(2));
        Map<UUID, Planned> plans = new HashMap<>();
        for (int i = 0; i < open.size(); i += 3) {
            plans.put(open.get(i).id(), Planned.on(open.get(i).id(), TODAY.plusDays(i % 14)));
        }
        List<Double> times = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            long start = System.nanoTime();
            List<Busy> busy = meetings.stream()
                    .flatMap(meeting -> meeting.busy(CalendarUse.BUSY, 10).stream())
                    .toList();
            Horizon horizon = new Horizon(
                    NOW,
                    FreeTime.of(WorkingTime.officeHours(ZONE), 20, busy),
                    open,
                    plans,
                    Map.of(),
                    Preparations.of(open, meetings, WorkingTime.officeHours(ZONE), NOW),
                    Map.of(),
                    TODAY.plusDays(28));
            if (Today.of(horizon).entries().isEmpty()
                    || Ahead.of(horizon).days().isEmpty()) {
                throw new IllegalStateException("Nothing was planned");
            }
            if (round >= ROUNDS / 2) {
                times.add((System.nanoTime() - start) / 1e6);
            }
        }
        say(
                "A plan of today and of twenty working days over %d open follow-ups and these times: median %.1f ms"
                        + " (goal: under 50)",
                FOLLOW_UPS, Bench.median(times));
    }

    private static List<Meeting> times(List<CalendarObject> objects) {
        UUID id = new UUID(0, 1);
        return objects.stream()
                .flatMap(
                        object -> object
                                .times(
                                        id,
                                        ZONE,
                                        NOW.minus(Duration.ofDays(62)),
                                        NOW.plus(Duration.ofDays(430)),
                                        Set.of())
                                .stream())
                .toList();
    }

    private static String calendar(Random random) {
        StringBuilder text = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n");
        for (int i = 0; i < EVENTS; i++) {
            LocalDate day = TODAY.minusDays(60).plusDays(random.nextInt(480));
            text.append("BEGIN:VEVENT\r\nUID:event-")
                    .append(i)
                    .append("@merrowquay.example\r\nSUMMARY:Meeting number ")
                    .append(i)
                    .append("\r\nLOCATION:Boathouse\r\nDTSTART;TZID=Europe/London:")
                    .append(LOCAL.format(day.atTime(8 + random.nextInt(9), 15 * random.nextInt(4))))
                    .append("\r\nDURATION:PT")
                    .append(15 * (1 + random.nextInt(4)))
                    .append("M\r\n");
            if (i < SERIES) {
                text.append(i % 2 == 0 ? "RRULE:FREQ=WEEKLY;BYDAY=MO,TH\r\n" : "RRULE:FREQ=MONTHLY;BYDAY=-1FR\r\n");
            }
            text.append("END:VEVENT\r\n");
        }
        return text.append("END:VCALENDAR\r\n").toString();
    }

    private static List<FollowUp> followUps(Random random) {
        List<FollowUp> open = new ArrayList<>();
        for (int i = 0; i < FOLLOW_UPS; i++) {
            open.add(FollowUp.made(
                    new UUID(1, i),
                    new UUID(0, 2),
                    new Content(
                            "Follow-up " + i,
                            random.nextInt(5) == 0 ? null : TODAY.minusDays(3).plusDays(random.nextInt(40)),
                            null,
                            random.nextBoolean(),
                            null,
                            5 + random.nextInt(60),
                            List.of(Priority.HIGH, Priority.NORMAL, Priority.LOW)
                                    .get(random.nextInt(3)),
                            false,
                            null),
                    Optional.empty(),
                    NOW.minusSeconds(i)));
        }
        return open;
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
