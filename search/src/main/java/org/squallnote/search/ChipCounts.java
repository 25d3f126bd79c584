package org.squallnote.search;

import java.io.IOException;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.search.CollectionTerminatedException;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.SimpleCollector;
import org.jspecify.annotations.Nullable;

/** Counts what would narrow a search, over the first of what is found. */
final class ChipCounts extends SimpleCollector {

    /** The field of all of them: its values say what they are, a colon and which. */
    static final String FIELD = "chip";

    private static final int MOST_COUNTED = 20_000;
    private static final int MOST_SHOWN = 8;

    private final Map<String, Integer> counts = new HashMap<>();
    private @Nullable SortedSetDocValues values;
    private int[] ofLeaf = new int[0];
    private int seen;

    @Override
    protected void doSetNextReader(LeafReaderContext context) throws IOException {
        keep();
        values = context.reader().getSortedSetDocValues(FIELD);
        ofLeaf = new int[values == null ? 0 : (int) values.getValueCount()];
        if (seen >= MOST_COUNTED) {
            throw new CollectionTerminatedException();
        }
    }

    @Override
    public void collect(int doc) throws IOException {
        if (seen++ >= MOST_COUNTED) {
            throw new CollectionTerminatedException();
        }
        if (values != null && values.advanceExact(doc)) {
            for (int i = 0; i < values.docValueCount(); i++) {
                ofLeaf[(int) values.nextOrd()]++;
            }
        }
    }

    @Override
    public ScoreMode scoreMode() {
        return ScoreMode.COMPLETE_NO_SCORES;
    }

    private void keep() throws IOException {
        if (values != null) {
            for (int ord = 0; ord < ofLeaf.length; ord++) {
                if (ofLeaf[ord] > 0) {
                    counts.merge(values.lookupOrd(ord).utf8ToString(), ofLeaf[ord], Integer::sum);
                }
            }
        }
        ofLeaf = new int[0];
    }

    /** Puts together what was counted in the parts of an index. */
    static final class Sum implements CollectorManager<ChipCounts, Found.Chips> {

        @Override
        public ChipCounts newCollector() {
            return new ChipCounts();
        }

        @Override
        public Found.Chips reduce(Collection<ChipCounts> counted) throws IOException {
            ChipCounts all = new ChipCounts();
            for (ChipCounts each : counted) {
                each.keep();
                each.counts.forEach((value, count) -> all.counts.merge(value, count, Integer::sum));
            }
            return all.chips();
        }
    }

    private Found.Chips chips() {
        return new Found.Chips(
                of("kind"),
                of("person"),
                of("category"),
                of("source"),
                of("room"),
                of("standing"),
                of("file"),
                of("linked"));
    }

    private List<Found.Chip> of(String what) {
        String start = what + ":";
        return counts.entrySet().stream()
                .filter(each -> each.getKey().startsWith(start))
                .map(each -> new Found.Chip(each.getKey().substring(start.length()), each.getValue()))
                .sorted(Comparator.comparing(Found.Chip::count).reversed().thenComparing(Found.Chip::value))
                .limit(MOST_SHOWN)
                .toList();
    }
}
