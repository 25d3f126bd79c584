package org.squallnote.server.takein;

import java.nio.charset.Charset;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.takein.CellDates;
import org.squallnote.core.takein.Column;
import org.squallnote.core.takein.Proposal;

/**
 * A file as it was read.
 *
 * @param sort what it holds
 * @param charset as which its bytes were read
 * @param table of a table how it was read; null for others
 * @param events how many events stand beside the tasks
 * @param more whether it holds more than was read
 */
record ReadFile(Sort sort, Charset charset, @Nullable Table table, List<Proposal> lines, int events, boolean more) {

    /** What a file holds. */
    enum Sort {
        TABLE,
        TASKS,
        CHECKLIST
    }

    /**
     * How a table was read.
     *
     * @param separator what stands between its cells
     * @param headed whether its first row names the columns
     * @param dates in which order its dates were read
     */
    record Table(char separator, boolean headed, List<TableColumn> columns, CellDates.Order dates) {}

    /**
     * A column of a table.
     *
     * @param heading its name, empty where the table has none
     * @param examples what stands in it at first
     */
    record TableColumn(String heading, Column says, List<String> examples) {}
}
