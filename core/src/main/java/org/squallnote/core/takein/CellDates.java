package org.squallnote.core.takein;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.TypedDate;

/**
 * Dates as they stand in the cells of tables: by ISO 8601, in figures in the order of a day or of a month, as the number of a
 * day that spreadsheets count from 30 December 1899, in words, or as one types them into a field. Those that have passed are
 * dates too.
 */
public final class CellDates {

    private static final Pattern FIGURES =
            Pattern.compile("(\\d{1,4})(?<mark>[./-])\\s?(\\d{1,2})\\k<mark>\\s?(\\d{1,4})(?<rest>(?!\\d).*)");
    private static final Pattern TIME =
            Pattern.compile("(?i)[ ,T]+(?:at )?(\\d{1,2}):(\\d{2})(?::\\d{2}(?:[.,]\\d+)?)?\\s?(am|pm)?");
    private static final Pattern DAY_AND_TIME = Pattern.compile("(.*?\\d{4})(" + TIME.pattern() + ")");
    private static final Pattern SERIAL = Pattern.compile("\\d{5}(?:\\.\\d{1,12})?");
    private static final LocalDate SERIAL_ZERO = LocalDate.of(1899, 12, 30);
    private static final double FIRST_SERIAL = 25_000;
    private static final double LAST_SERIAL = 75_000;

    private static final List<DateTimeFormatter> IN_WORDS = List.of(
            words("[EEEE][EEE][','][' ']d['.'] MMMM uuuu"),
            words("[EEEE][EEE][','][' ']d['.'] MMM uuuu"),
            words("d-MMM-uuuu"),
            words("[EEEE][EEE][','][' ']MMMM d[','] uuuu"),
            words("[EEEE][EEE][','][' ']MMM d[','] uuuu"));

    private CellDates() {}

    /** A day, with its time where one stands there. */
    public record CellDate(LocalDate day, Optional<LocalTime> time) {}

    /**
     * In which order a column writes days and months.
     *
     * @param monthFirst whether 3/4 is March 4
     * @param certain whether some cell can be read in this order only
     * @param mixed whether others can be read in the other order only
     */
    public record Order(boolean monthFirst, boolean certain, boolean mixed) {}

    /** The order of a column: what most of the cells say that can be read in one way only, else what is usual. */
    public static Order order(List<String> cells, boolean usuallyMonthFirst) {
        int dayFirst = 0;
        int monthFirst = 0;
        for (String cell : cells) {
            Matcher figures = FIGURES.matcher(cell.strip());
            if (figures.matches()
                    && figures.group(1).length() <= 2
                    && !figures.group("mark").equals(".")) {
                int first = Integer.parseInt(figures.group(1));
                int second = Integer.parseInt(figures.group(3));
                dayFirst += (first > 12 && second <= 12) ? 1 : 0;
                monthFirst += (second > 12 && first <= 12) ? 1 : 0;
            }
        }
        boolean certain = dayFirst + monthFirst > 0;
        return new Order(
                (certain && dayFirst != monthFirst) ? monthFirst > dayFirst : usuallyMonthFirst,
                certain,
                dayFirst > 0 && monthFirst > 0);
    }

    /**
     * The date in a cell; absent where there is none that exists.
     *
     * @param zone for a moment with an offset
     */
    public static Optional<CellDate> read(String cell, boolean monthFirst, ZoneId zone, DateContext dates) {
        String text = cell.strip();
        if (text.isEmpty() || text.length() > 80) {
            return Optional.empty();
        }
        try {
            return moment(text, zone)
                    .or(() -> inFigures(text, monthFirst))
                    .or(() -> serial(text))
                    .or(() -> inWords(text))
                    .or(() -> typed(text, monthFirst, dates));
        } catch (DateTimeException e) {
            // "31/2/2026"
            return Optional.empty();
        }
    }

    private static Optional<CellDate> moment(String text, ZoneId zone) {
        if (!text.matches("\\d{4}-\\d{2}-\\d{2}[T ]\\d{2}:\\d{2}.*(?:Z|[+-]\\d{2}:?\\d{2})")) {
            return Optional.empty();
        }
        String plain = text.replace(' ', 'T').replaceFirst("([+-]\\d{2})(\\d{2})$", "$1:$2");
        LocalDateTime there = OffsetDateTime.parse(plain)
                .atZoneSameInstant(zone)
                .toLocalDateTime()
                .truncatedTo(ChronoUnit.MINUTES);
        return Optional.of(new CellDate(there.toLocalDate(), Optional.of(there.toLocalTime())));
    }

    private static Optional<CellDate> inFigures(String text, boolean monthFirst) {
        Matcher figures = FIGURES.matcher(text);
        if (!figures.matches()) {
            return Optional.empty();
        }
        Optional<LocalTime> time = time(figures.group("rest"));
        if (time.isEmpty() && !figures.group("rest").isBlank()) {
            return Optional.empty();
        }
        int first = Integer.parseInt(figures.group(1));
        int second = Integer.parseInt(figures.group(3));
        int third = Integer.parseInt(figures.group(4));
        if (figures.group(1).length() > 2) {
            return Optional.of(new CellDate(LocalDate.of(first, second, third), time));
        }
        if (figures.group(4).length() == 1) {
            return Optional.empty();
        }
        int year = third < 100 ? 2000 + third : third;
        boolean dayFirst = figures.group("mark").equals(".") || !monthFirst;
        LocalDate day = dayFirst ? LocalDate.of(year, second, first) : LocalDate.of(year, first, second);
        return Optional.of(new CellDate(day, time));
    }

    private static Optional<LocalTime> time(String rest) {
        Matcher time = TIME.matcher(rest);
        if (!time.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(time.group(1));
        String half = time.group(3);
        if (half != null) {
            hour = hour % 12 + (half.equalsIgnoreCase("pm") ? 12 : 0);
        }
        return Optional.of(LocalTime.of(hour, Integer.parseInt(time.group(2))));
    }

    private static Optional<CellDate> serial(String text) {
        if (!SERIAL.matcher(text).matches()) {
            return Optional.empty();
        }
        double number = Double.parseDouble(text);
        if (number < FIRST_SERIAL || number > LAST_SERIAL) {
            return Optional.empty();
        }
        long minutes = Math.round(number * 24 * 60);
        LocalDateTime moment = SERIAL_ZERO.atStartOfDay().plusMinutes(minutes);
        return Optional.of(new CellDate(
                moment.toLocalDate(), text.contains(".") ? Optional.of(moment.toLocalTime()) : Optional.empty()));
    }

    private static Optional<CellDate> inWords(String text) {
        Matcher withTime = DAY_AND_TIME.matcher(text);
        boolean timed = withTime.matches();
        String day = timed ? withTime.group(1) : text;
        for (DateTimeFormatter form : IN_WORDS) {
            try {
                return Optional.of(
                        new CellDate(LocalDate.parse(day, form), timed ? time(withTime.group(2)) : Optional.empty()));
            } catch (DateTimeException e) {
                // Another form may fit.
            }
        }
        return Optional.empty();
    }

    private static Optional<CellDate> typed(String text, boolean monthFirst, DateContext dates) {
        // A bare number is no hour of today.
        return text.matches("\\d+")
                ? Optional.empty()
                : TypedDate.read(text, new DateContext(dates.sentAt(), dates.workingTime(), monthFirst))
                        .map(phrase -> new CellDate(phrase.day(), phrase.time()));
    }

    private static DateTimeFormatter words(String pattern) {
        return new DateTimeFormatterBuilder()
                .parseCaseInsensitive()
                .appendPattern(pattern)
                .toFormatter(Locale.ENGLISH);
    }
}
