package org.squallnote.formats.table;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.squallnote.core.takein.Row;

/**
 * Reads tables as spreadsheets write them: CSV (RFC 4180) or the same with semicolons, tabs or bars, whichever divides its
 * lines into the most even columns.
 */
public final class CsvReader {

    /** More rows are not read. */
    public static final int MOST_ROWS = 5_000;

    private static final Set<Character> SEPARATORS = Set.of(',', ';', '\t', '|');
    private static final int LINES_LOOKED_AT = 50;
    private static final int MOST_COLUMNS = 200;

    private CsvReader() {}

    /**
     * A table.
     *
     * @param separator what stands between its cells
     * @param more whether it has more rows than were read
     */
    public record Table(List<Row> rows, char separator, boolean more) {}

    /**
     * Reads a table.
     *
     * @throws IllegalArgumentException when a quote is opened and never closed; the message says where
     */
    public static Table read(String text) {
        char separator = separator(text);
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setIgnoreSurroundingSpaces(separator != '\t')
                .setLenientEof(false)
                .setTrailingData(true)
                .get();
        List<Row> rows = new ArrayList<>();
        long line = 1;
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord record : parser) {
                if (rows.size() > MOST_ROWS) {
                    return new Table(rows.subList(0, MOST_ROWS + 1), separator, true);
                }
                List<String> cells = record.stream().limit(MOST_COLUMNS).toList();
                int height = cells.stream()
                        .mapToInt(cell -> (int) cell.lines().count() - 1)
                        .map(each -> Math.max(each, 0))
                        .sum();
                line = parser.getCurrentLineNumber();
                rows.add(new Row((int) Math.max(1, line - height), cells));
            }
        } catch (IOException | UncheckedIOException e) {
            throw new IllegalArgumentException(
                    "A quote that is opened after line " + line
                            + " is never closed, or something stands behind a closed one.",
                    e);
        }
        return new Table(rows, separator, false);
    }

    /** The one that divides the first lines into the same number of cells most often, and into the most of them. */
    private static char separator(String text) {
        char best = ',';
        long most = 0;
        for (char separator : SEPARATORS) {
            List<Integer> counts = counts(text, separator);
            int first = counts.isEmpty() ? 0 : counts.get(0);
            long alike = first == 0
                    ? 0
                    : counts.stream().filter(count -> count == first).count();
            long worth = alike * 1000 / Math.max(1, counts.size()) * 10 + Math.min(first, 9);
            if (first > 0 && worth > most) {
                best = separator;
                most = worth;
            }
        }
        return best;
    }

    /** How many separators stand outside quotes, for each of the first lines. */
    private static List<Integer> counts(String text, char separator) {
        List<Integer> counts = new ArrayList<>();
        boolean quoted = false;
        int count = 0;
        boolean anything = false;
        for (int i = 0; i < text.length() && counts.size() < LINES_LOOKED_AT; i++) {
            char each = text.charAt(i);
            if (each == '"') {
                quoted = !quoted;
            } else if (!quoted && each == separator) {
                count++;
            } else if (!quoted && each == '\n') {
                if (anything) {
                    counts.add(count);
                }
                count = 0;
                anything = false;
                continue;
            }
            anything |= !Character.isWhitespace(each);
        }
        if (anything && counts.size() < LINES_LOOKED_AT) {
            counts.add(count);
        }
        return counts;
    }
}
