package org.squallnote.core.reading;

import java.util.List;
import java.util.Locale;
import org.squallnote.core.reading.OwnWords.Kind;
import org.squallnote.core.text.WordList;

/** Finds legal footers and device lines at the end of a message. */
final class Footers {

    private static final List<String> FOOTERS = footers(false);
    /** In the list with a circumflex: a line that begins so is a footer. */
    private static final List<String> WHOLE_FOOTERS = footers(true);

    /** The other footers stand in lines that begin so. */
    private static final List<String> FOOTER_STARTS = List.of(
            "this ",
            "the information",
            "the content",
            "if you are not",
            "if you have received",
            "confidential",
            "any ");

    private Footers() {}

    private static List<String> footers(boolean whole) {
        return WordList.lines(Footers.class, "footers.txt").stream()
                .filter(footer -> footer.startsWith("^") == whole)
                .map(footer -> whole ? footer.substring(1) : footer)
                .toList();
    }

    /** Footers stand at the end: from the last line upwards, as long as there is nothing else. */
    static void mark(List<String> lines, Kind[] kinds, int first) {
        for (int i = kinds.length - 1; i > first; i--) {
            if (kinds[i] == Kind.OWN && !lines.get(i).isEmpty()) {
                if (!isFooter(lines.get(i))) {
                    return;
                }
                kinds[i] = Kind.SIGNATURE;
            }
        }
    }

    private static boolean isFooter(String line) {
        String lower = line.toLowerCase(Locale.ROOT);
        boolean advertisesProgram =
                lower.startsWith("get ") && (lower.endsWith(" for ios") || lower.endsWith(" for android"));
        if (advertisesProgram) {
            return true;
        }
        return startsWithOneOf(lower, WHOLE_FOOTERS)
                || (startsWithOneOf(lower, FOOTER_STARTS) && FOOTERS.stream().anyMatch(lower::contains));
    }

    private static boolean startsWithOneOf(String line, List<String> starts) {
        for (String start : starts) {
            if (line.startsWith(start)) {
                return true;
            }
        }
        return false;
    }
}
