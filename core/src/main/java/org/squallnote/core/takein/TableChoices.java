package org.squallnote.core.takein;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;

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

    /** Categories by their names in small letters. */
    public static Map<String, UUID> byName(Map<String, UUID> categories) {
        Map<String, UUID> names = new HashMap<>();
        categories.forEach((name, id) -> names.put(name.strip().toLowerCase(Locale.ROOT), id));
        return names;
    }
}
