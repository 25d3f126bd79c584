package org.squallnote.server.takein;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.takein.CellDates;
import org.squallnote.core.takein.ChecklistLines;
import org.squallnote.core.takein.Column;
import org.squallnote.core.takein.Columns;
import org.squallnote.core.takein.Row;
import org.squallnote.core.takein.TableChoices;
import org.squallnote.core.takein.TableRows;
import org.squallnote.core.text.Beginning;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.formats.calendar.CalendarTasks;
import org.squallnote.formats.contact.VCards;
import org.squallnote.formats.table.CsvReader;
import org.squallnote.formats.table.UnlabelledText;
import org.squallnote.search.FileType;
import org.squallnote.server.problem.Refusal;

/** Reads a file of follow-ups, whatever it is. */
@Component
class FollowUpFiles {

    /** A file for people's own lists is never larger. */
    static final int MOST_BYTES = 4 * 1024 * 1024;

    private static final int MOST_TASKS = 5_000;
    private static final int MOST_LINES = 1_000;
    private static final int EXAMPLES = 3;

    /** What a file of text is, by its bytes; a list that begins like a mail is one too. */
    private static final Pattern TEXT = Pattern.compile("(?:text|message)/.*");

    /**
     * How somebody wants a table to be read; null for what is guessed.
     *
     * @param headed whether its first row names the columns
     * @param columns what each column says
     * @param monthFirst whether 3/4 is March 4
     */
    record Wanted(
            @Nullable Boolean headed,
            @Nullable List<Column> columns,
            @Nullable Boolean monthFirst) {}

    /** Reads it; a Refusal says why it cannot be read. */
    ReadFile read(String name, byte[] bytes, Wanted wanted, CaptureContext context, ZoneId zone) {
        if (bytes.length > MOST_BYTES) {
            throw Refusal.invalid("This file is larger than 4 MB. Divide it, and take the parts in one after the other."
                    + " Nothing was changed.");
        }
        UnlabelledText file = UnlabelledText.of(bytes);
        if (file.text().isBlank()) {
            throw Refusal.invalid("This file is empty. Nothing was changed.");
        }
        if (!TEXT.matcher(FileType.of(bytes, name)).matches()) {
            throw Refusal.invalid(
                    "This is no text: a spreadsheet, a document or a picture as its program keeps it. Save a"
                            + " spreadsheet as CSV there, and take that in. Nothing was changed.");
        }
        if (VCards.isVCard(bytes)) {
            throw Refusal.invalid("These are people (vCard) and no follow-ups. Nothing was changed.");
        }
        if (CalendarReader.isCalendar(bytes)) {
            CalendarTasks.Read read = CalendarTasks.read(file.text(), context, zone, MOST_TASKS);
            return new ReadFile(ReadFile.Sort.TASKS, file.charset(), null, read.tasks(), read.events(), read.more());
        }
        return isList(name, file.text()) ? list(file, context) : table(file, wanted, context, zone);
    }

    /** What its name says, else whether its lines have boxes to tick or bullets. */
    private static boolean isList(String name, String text) {
        String small = name.toLowerCase(Locale.ROOT);
        if (small.endsWith(".csv") || small.endsWith(".tsv")) {
            return false;
        }
        return small.endsWith(".md")
                || small.endsWith(".markdown")
                || text.lines().limit(200).anyMatch(line -> line.matches("\\s*[-*•☐☑]\\s+\\S.*"))
                || text.lines().limit(50).noneMatch(line -> line.matches(".*[,;\t|].*"));
    }

    private static ReadFile list(UnlabelledText file, CaptureContext context) {
        long lines = file.text().lines().filter(line -> !line.isBlank()).count();
        return new ReadFile(
                ReadFile.Sort.CHECKLIST,
                file.charset(),
                null,
                ChecklistLines.read(file.text(), context, MOST_LINES),
                0,
                lines > MOST_LINES);
    }

    private static ReadFile table(UnlabelledText file, Wanted wanted, CaptureContext context, ZoneId zone) {
        CsvReader.Table csv = read(file.text());
        List<Row> rows = csv.rows();
        boolean headed = wanted.headed() == null ? Columns.isHeading(rows, context.dates()) : wanted.headed();
        List<String> heading = headed && !rows.isEmpty() ? rows.get(0).cells() : List.of();
        List<Row> content = rows.subList(heading.isEmpty() ? 0 : 1, rows.size());
        List<Column> guessed = Columns.guess(heading, content, context.dates());
        List<Column> says = columns(wanted.columns(), guessed);
        CellDates.Order dates =
                CellDates.order(datesIn(content, says), context.dates().monthFirst());
        boolean monthFirst = wanted.monthFirst() == null ? dates.monthFirst() : wanted.monthFirst();
        return new ReadFile(
                ReadFile.Sort.TABLE,
                file.charset(),
                new ReadFile.Table(
                        csv.separator(),
                        !heading.isEmpty(),
                        IntStream.range(0, says.size())
                                .mapToObj(i -> column(i, heading, says.get(i), content))
                                .toList(),
                        new CellDates.Order(monthFirst, dates.certain(), dates.mixed())),
                TableRows.read(rows, new TableChoices(!heading.isEmpty(), says, monthFirst), context, zone),
                0,
                csv.more());
    }

    private static CsvReader.Table read(String text) {
        try {
            return CsvReader.read(text);
        } catch (IllegalArgumentException e) {
            throw Refusal.invalid(
                    e.getMessage() + " Put it right in the file, and choose it again. Nothing was changed.");
        }
    }

    /** What is wanted of as many columns as there are. */
    private static List<Column> columns(@Nullable List<Column> wanted, List<Column> guessed) {
        if (wanted == null) {
            return guessed;
        }
        List<Column> columns = new ArrayList<>(wanted.subList(0, Math.min(wanted.size(), guessed.size())));
        while (columns.size() < guessed.size()) {
            columns.add(Column.NOTHING);
        }
        return columns;
    }

    private static List<String> datesIn(List<Row> rows, List<Column> says) {
        return IntStream.range(0, says.size())
                .filter(i -> says.get(i) == Column.REPLY_BY || says.get(i) == Column.START)
                .boxed()
                .flatMap(i -> rows.stream()
                        .map(row -> row.cells())
                        .filter(cells -> i < cells.size())
                        .map(cells -> cells.get(i)))
                .toList();
    }

    private static ReadFile.TableColumn column(int index, List<String> heading, Column says, List<Row> rows) {
        List<String> examples = rows.stream()
                .map(Row::cells)
                .filter(cells -> index < cells.size() && !cells.get(index).isBlank())
                .map(cells -> Beginning.onOneLine(cells.get(index).strip(), 60))
                .distinct()
                .limit(EXAMPLES)
                .toList();
        return new ReadFile.TableColumn(
                index < heading.size() ? Beginning.onOneLine(heading.get(index).strip(), 60) : "", says, examples);
    }
}
