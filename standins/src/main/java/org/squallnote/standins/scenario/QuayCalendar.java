package org.squallnote.standins.scenario;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.time.PublicHolidays;
import org.squallnote.core.time.WorkingTime;

/**
 * The days of Merrow Quay. Everything is dated from the last working moment before the start, so that a demo that is
 * started on a Saturday night shows what Friday evening left, and nothing has passed only because nobody worked since.
 */
public final class QuayCalendar {

    /** The region whose public holidays the harbour office keeps. */
    public static final String REGION = "gb-eng";

    /** {@code {+2}}: the second working day after the anchor, by its name where that is clear, else by its date. */
    private static final Pattern DAY = Pattern.compile("\\{(date)?\\+(\\d+)}");

    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEEE", Locale.UK);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);
    private static final int DAYS_BY_NAME = 6;

    private final WorkingTime workingTime;
    private final LocalDateTime anchor;

    /** The calendar of a start. */
    public QuayCalendar(Instant start, ZoneId zone) {
        workingTime = WorkingTime.officeHours(zone).withHolidays(PublicHolidays.of(REGION));
        anchor = workingTime.lastWorkingMomentUpTo(LocalDateTime.ofInstant(start, zone));
    }

    /** The last working moment before the start. */
    public Instant anchor() {
        return anchor.atZone(workingTime.zone()).toInstant();
    }

    /** The working day that lies so many working days after that of the anchor, or before it. */
    public LocalDate day(int workingDays) {
        LocalDate day = anchor.toLocalDate();
        for (int i = 0; i > workingDays; i--) {
            day = workingTime.onOrBefore(day.minusDays(1));
        }
        return workingDays <= 0 ? day : workingTime.addWorkingDays(day, workingDays);
    }

    /** The moment; never after the anchor: what would be later that day is a little earlier, in the same order. */
    Instant at(When when) {
        if (when.workingDays() < 0) {
            return anchor().minus(when.before());
        }
        Instant at = day(-when.workingDays())
                .atTime(when.time())
                .atZone(workingTime.zone())
                .toInstant();
        Duration toMidnight = Duration.ofDays(1).minusNanos(when.time().toNanoOfDay());
        return at.isBefore(anchor())
                ? at
                : anchor().minus(toMidnight.dividedBy(12)).minusSeconds(60);
    }

    /** A moment on a coming working day. */
    Instant at(int workingDays, int hour) {
        return day(workingDays).atTime(hour, 0).atZone(workingTime.zone()).toInstant();
    }

    /** A text with the days that it names, as its writer would name them at that moment. */
    String said(String text, Instant sentAt) {
        LocalDate sent = LocalDate.ofInstant(sentAt, workingTime.zone());
        Matcher matcher = DAY.matcher(text);
        return matcher.replaceAll((MatchResult found) -> {
            LocalDate day = day(Integer.parseInt(found.group(2)));
            boolean near = found.group(1) == null && ChronoUnit.DAYS.between(sent, day) <= DAYS_BY_NAME;
            return (near ? WEEKDAY : DATE).format(day);
        });
    }
}
