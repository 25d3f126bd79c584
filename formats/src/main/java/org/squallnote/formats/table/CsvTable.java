package org.squallnote.formats.table;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A table as CSV (RFC 4180), with a mark by which programs know that it is UTF-8. */
public final class CsvTable {

    private static final String BYTE_ORDER_MARK = "\ufeff";

    /** A cell that begins so would be computed by a program that opens the table. */
    private static final String BEGINS_FORMULA = "=+-@\t\r\n";

    private CsvTable() {}

    /**
     * The text of a table.
     *
     * @param rows each with as many cells as the heading; one that would be a formula stands behind an apostrophe
     */
    public static String write(List<String> heading, List<List<String>> rows) {
        StringBuilder text = new StringBuilder(BYTE_ORDER_MARK);
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord(heading);
            for (List<String> row : rows) {
                printer.printRecord(row.stream().map(CsvTable::harmless).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String harmless(String cell) {
        return !cell.isEmpty() && BEGINS_FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
