package org.squallnote.core.takein;

import java.util.List;

/**
 * How a table is read.
 *
 * @param headed whether its first row names the columns
 * @param columns what each column says
 * @param monthFirst whether 3/4 is March 4
 */
public record TableChoices(boolean headed, List<Column> columns, boolean monthFirst) {

    /** Copies the list. */
    public TableChoices {
        columns = List.copyOf(columns);
    }
}
