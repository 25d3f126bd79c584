package org.squallnote.core.takein;

import java.util.List;

/**
 * A row of a table.
 *
 * @param line the line of the file on which it begins, from 1
 */
public record Row(int line, List<String> cells) {

    /** Copies the cells. */
    public Row {
        cells = List.copyOf(cells);
    }

    /** What stands in a column; empty behind the end of a short row, and where there is no such column. */
    String cell(int column) {
        return column >= 0 && column < cells.size() ? cells.get(column).strip() : "";
    }

    boolean isEmpty() {
        return cells.stream().allMatch(String::isBlank);
    }
}
