package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.squallnote.core.text.WordList;

/**
 * How messages are read for which no rule was written. It says how many are read right and never which ones are not, so
 * that nobody writes a rule for them.
 */
class KeptAsideTest {

    private static final List<String[]> ROWS = WordList.lines(KeptAsideTest.class, "kept-aside.tsv").stream()
            .map(line -> line.split("\t"))
            .toList();

    private static String read(String[] row) {
        return OtherVoicesTest.read(row[0], row[4].replace("\\n", "\n"));
    }

    private static long count(Predicate<String[]> test) {
        return ROWS.stream().filter(test).count();
    }

    @Test
    void asManyAreReadRightAsEver() {
        assertThat(count(row -> read(row).equals(row[1] + " " + row[2] + " " + row[3])))
                .isGreaterThanOrEqualTo(76);
    }

    /** Of what asks, and of what is taken to ask: twice those in both over the sum of the two. */
    @Test
    void asksAreFoundAsWellAsEver() {
        long labelled = count(row -> row[1].equals("yes"));
        long found = count(row -> read(row).startsWith("yes"));
        long both = count(row -> row[1].equals("yes") && read(row).startsWith("yes"));
        assertThat(2.0 * both / (labelled + found)).isGreaterThanOrEqualTo(0.95);
    }
}
