package org.squallnote.core.takein;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.capture.TypedEffort;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.todo.Todo;

/** Reads the rows of a table as follow-ups, each by itself: what is wrong in one costs that one and no other. */
public final class TableRows {

    private static final Set<String> DONE = Set.of(
            "done",
            "x",
            "yes",
            "y",
            "true",
            "1",
            "completed",
            "complete",
            "closed",
            "finished",
            "100%",
            "100",
            "✓",
            "✔");
    private static final Set<String> DONE_ELSEWHERE =
            Set.of("erledigt", "ja", "terminé", "fait", "oui", "klaar", "hecho");
    private static final Set<String> NONE = Set.of("-", "–", "—", "n/a", "none", "null", "tbd", "?");
    private static final Set<String> HIGH =
            Set.of("high", "urgent", "highest", "important", "!", "!!", "!!!", "hoch", "a");
    private static final Set<String> NORMAL = Set.of("normal", "medium", "mid", "middle", "0", "5", "mittel", "b");
    private static final Set<String> LOW = Set.of("low", "lowest", "niedrig", "c", "someday");
    private static final Pattern CLOCK = Pattern.compile("(\\d{1,3}):([0-5]\\d)(?::\\d{2})?");
    private static final Pattern NUMBER = Pattern.compile("(\\d{1,4})(?:[.,](\\d{1,2}))?");
    private static final Pattern ADDRESSED = Pattern.compile("(.*?)\\s*<([^<>@\\s]+@[^<>\\s]+)>");
    private static final Pattern BOX = Pattern.compile("^(?:[-*]\\s*)?\\[([ xX])]\\s*");
    private static final int MOST_EFFORT = 6_000;
    private static final int MOST_PEOPLE = 50;
    private static final int MOST_STEPS = 100;
    private static final int LONGEST_STEP = 500;

    /** A column of numbers up to this counts from the most urgent, as people number them. */
    private static final int SHORT_SCALE = 3;

    private final List<String> heading;
    private final TableChoices choices;
    private final CaptureContext context;
    private final ZoneId zone;
    private final boolean shortScale;
    private final boolean hours;

    private TableRows(List<String> heading, List<Row> rows, TableChoices choices, CaptureContext context, ZoneId zone) {
        this.heading = heading;
        this.choices = choices;
        this.context = context;
        this.zone = zone;
        this.shortScale = Columns.cells(rows, choices.columns().indexOf(Column.PRIORITY)).stream()
                .allMatch(cell -> !cell.matches("\\d+") || (cell.length() == 1 && cell.charAt(0) <= '0' + SHORT_SCALE));
        this.hours = said(Column.EFFORT)
                .mapToObj(this::headingOf)
                .anyMatch(words -> words.toLowerCase(Locale.ROOT).matches(".*(?:hours|\\bh\\b|stunden).*"));
    }

    /**
     * A follow-up for each row that holds anything.
     *
     * @param rows all of them, with the heading where there is one
     * @param zone for moments with an offset
     */
    public static List<Proposal> read(List<Row> rows, TableChoices choices, CaptureContext context, ZoneId zone) {
        boolean headed = choices.headed() && !rows.isEmpty();
        List<Row> content = headed ? rows.subList(1, rows.size()) : rows;
        List<String> heading = headed ? rows.get(0).cells() : List.of();
        TableRows reading = new TableRows(heading, content, choices, context, zone);
        return content.stream()
                .filter(row -> !row.isEmpty())
                .map(reading::proposal)
                .toList();
    }

    private Proposal proposal(Row row) {
        List<String> problems = new ArrayList<>();
        List<String> remarks = new ArrayList<>();
        String title = fold(first(row, Column.TITLE));
        if (title.isEmpty()) {
            problems.add("Has no title.");
        }
        if (!heading.isEmpty() && row.cells().stream().skip(heading.size()).anyMatch(cell -> !cell.isBlank())) {
            problems.add("Has " + row.cells().size() + " cells, the heading has " + heading.size()
                    + ": a cell with the separator in it has to stand in quotes.");
        }
        Optional<CellDates.CellDate> due = date(row, Column.REPLY_BY, problems);
        Optional<CellDates.CellDate> start = date(row, Column.START, problems);
        Optional<Integer> effort = effort(first(row, Column.EFFORT), problems);
        String place = fold(first(row, Column.PLACE));
        if (place.length() > Todo.LONGEST_PLACE) {
            problems.add("The place is longer than " + Todo.LONGEST_PLACE + " characters.");
        }
        String note = note(row, title);
        if (note.length() > Todo.LONGEST_NOTE) {
            problems.add("The note is longer than 20,000 characters.");
        }
        if (title.length() > Todo.LONGEST_TITLE) {
            remarks.add("The title is long: all of it stands in the note.");
        }
        String named = fold(first(row, Column.CATEGORY));
        UUID category = context.category(named).orElse(null);
        LocalDate day = due.map(CellDates.CellDate::day).orElse(null);
        Content content = new Content(
                Beginning.of(title, Todo.LONGEST_TITLE),
                day,
                due.flatMap(CellDates.CellDate::time).orElse(null),
                false,
                category,
                effort.orElse(null),
                priority(first(row, Column.PRIORITY), remarks),
                false,
                new Content.Details(
                        start(start, day, remarks), place, people(row, remarks), steps(row, remarks), note));
        boolean done = isDone(first(row, Column.STATE));
        if (done) {
            remarks.add("Is done already.");
        }
        return new Proposal(
                row.line(),
                title,
                problems.isEmpty() ? content : null,
                "",
                category == null ? named : "",
                problems.isEmpty() && !done,
                problems,
                remarks);
    }

    private IntStream said(Column column) {
        return IntStream.range(0, choices.columns().size())
                .filter(i -> choices.columns().get(i) == column);
    }

    private String headingOf(int column) {
        return column < heading.size() ? heading.get(column).strip() : "";
    }

    private String first(Row row, Column column) {
        return said(column)
                .mapToObj(row::cell)
                .filter(cell -> !cell.isEmpty())
                .findFirst()
                .map(TableRows::shown)
                .orElse("");
    }

    /** An apostrophe before what could be a formula is no part of it. */
    private static String shown(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && "=+-@".indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }

    private Optional<CellDates.CellDate> date(Row row, Column column, List<String> problems) {
        String cell = first(row, column);
        if (cell.isEmpty() || NONE.contains(cell.toLowerCase(Locale.ROOT)) || cell.startsWith("0000")) {
            return Optional.empty();
        }
        Optional<CellDates.CellDate> date = CellDates.read(cell, choices.monthFirst(), zone, context.dates());
        if (date.isEmpty()) {
            problems.add("“" + Beginning.of(cell, 40) + "” is no date that can be read.");
        }
        return date;
    }

    /** One that is not before the day on which it is due would keep it out of sight until it is late. */
    private static @Nullable LocalDate start(
            Optional<CellDates.CellDate> start, @Nullable LocalDate due, List<String> remarks) {
        LocalDate day = start.map(CellDates.CellDate::day).orElse(null);
        if (day != null && due != null && !day.isBefore(due)) {
            if (day.isAfter(due)) {
                remarks.add("Would begin only after it is due; it is in sight at once.");
            }
            return null;
        }
        return day;
    }

    private Optional<Integer> effort(String cell, List<String> problems) {
        if (cell.isEmpty() || NONE.contains(cell.toLowerCase(Locale.ROOT))) {
            return Optional.empty();
        }
        Optional<Integer> minutes = minutes(cell);
        if (minutes.isEmpty()) {
            problems.add(
                    "“" + Beginning.of(cell, 40) + "” is no effort: write 30, 30 min, 1h30 or 1:30, up to 100 hours.");
        }
        return minutes.filter(each -> each > 0);
    }

    private Optional<Integer> minutes(String cell) {
        Matcher clock = CLOCK.matcher(cell);
        Matcher number = NUMBER.matcher(cell);
        Optional<Integer> minutes;
        if (clock.matches()) {
            minutes = Optional.of(Integer.parseInt(clock.group(1)) * 60 + Integer.parseInt(clock.group(2)));
        } else if (number.matches()) {
            double value = Double.parseDouble(cell.replace(',', '.'));
            minutes = Optional.of((int) Math.round(hours ? value * 60 : value));
        } else {
            minutes = TypedEffort.read(cell);
        }
        return minutes.filter(each -> each >= 0 && each <= MOST_EFFORT);
    }

    private Priority priority(String cell, List<String> remarks) {
        String word = cell.toLowerCase(Locale.ROOT);
        if (word.isEmpty() || NONE.contains(word) || NORMAL.contains(word)) {
            return Priority.NORMAL;
        }
        if (HIGH.contains(word)) {
            return Priority.HIGH;
        }
        if (LOW.contains(word)) {
            return Priority.LOW;
        }
        if (word.matches("[1-9]")) {
            int number = word.charAt(0) - '0';
            int lastHigh = shortScale ? 1 : 4;
            int firstLow = shortScale ? 3 : 6;
            return number <= lastHigh ? Priority.HIGH : number >= firstLow ? Priority.LOW : Priority.NORMAL;
        }
        remarks.add("Priority “" + Beginning.of(cell, 40) + "” is taken as normal.");
        return Priority.NORMAL;
    }

    private List<Party> people(Row row, List<String> remarks) {
        List<Party> people = said(Column.PERSON)
                .mapToObj(row::cell)
                .flatMap(cell -> Arrays.stream(cell.split("[;\\n]|,(?![^<]*>)")))
                .map(String::strip)
                .filter(name ->
                        !name.isEmpty() && name.length() <= 200 && !NONE.contains(name.toLowerCase(Locale.ROOT)))
                .map(this::person)
                .distinct()
                .toList();
        if (people.size() > MOST_PEOPLE) {
            remarks.add("Of " + people.size() + " people the first " + MOST_PEOPLE + " are taken.");
        }
        return people.stream().limit(MOST_PEOPLE).toList();
    }

    private Party person(String words) {
        Matcher addressed = ADDRESSED.matcher(words);
        if (addressed.matches()) {
            return new Party(addressed.group(1).replace("\"", ""), addressed.group(2));
        }
        if (words.matches("[^\\s@]+@[^\\s@]+")) {
            return context.people().stream()
                    .filter(known -> known.address().equalsIgnoreCase(words))
                    .findFirst()
                    .orElseGet(() -> new Party("", words));
        }
        return context.person(words).orElseGet(() -> new Party(words, ""));
    }

    private List<Checklist.Item> steps(Row row, List<String> remarks) {
        List<Checklist.Item> steps = said(Column.STEPS)
                .mapToObj(row::cell)
                .flatMap(cell -> Arrays.stream(cell.split(cell.contains("\n") ? "\\R" : ";")))
                .map(String::strip)
                .filter(step -> !step.isEmpty())
                .map(TableRows::step)
                .toList();
        if (steps.size() > MOST_STEPS) {
            remarks.add("Of " + steps.size() + " steps the first " + MOST_STEPS + " are taken.");
        }
        return steps.stream().limit(MOST_STEPS).toList();
    }

    private static Checklist.Item step(String words) {
        Matcher box = BOX.matcher(words);
        boolean boxed = box.find();
        String text = boxed ? words.substring(box.end()) : words;
        return new Checklist.Item(
                Beginning.of(text, LONGEST_STEP), boxed && box.group(1).equalsIgnoreCase("x"));
    }

    /** Several columns stand below each other, each behind its heading. */
    private String note(Row row, String title) {
        int[] of = said(Column.NOTE).filter(i -> !row.cell(i).isEmpty()).toArray();
        String notes = Arrays.stream(of)
                .mapToObj(
                        i -> (of.length > 1 && !headingOf(i).isEmpty() ? headingOf(i) + ": " : "") + shown(row.cell(i)))
                .collect(Collectors.joining("\n"));
        return title.length() > Todo.LONGEST_TITLE ? (title + "\n\n" + notes).strip() : notes;
    }

    private static boolean isDone(String cell) {
        String word = cell.toLowerCase(Locale.ROOT);
        return DONE.contains(word) || DONE_ELSEWHERE.contains(word);
    }

    private static String fold(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }
}
