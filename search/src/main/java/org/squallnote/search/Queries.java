package org.squallnote.search;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.lucene.document.LongField;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.search.Filter;

/** Makes queries of what was typed. */
final class Queries {

    private static final Pattern PIECE = Pattern.compile("\"([^\"]*)\"?|([^\\s\"]+)");

    /** A month ago weighs half as much as now. */
    private static final long HALF_MILLIS = 30L * 24 * 3_600_000;

    private static final float NEWNESS = 1.5f;
    private static final int MOST_WORDS = 24;

    /** Where words are looked for, and how much it weighs to be there. */
    static final Map<String, Float> FIELDS = Map.of("title", 3f, "who", 2.5f, "text", 1f);

    private static final WordAnalyzer PLAIN = new WordAnalyzer(false);

    private final Map<String, Set<String>> similar;

    /** @param similar for each word others that count too */
    Queries(Map<String, Set<String>> similar) {
        this.similar = similar;
    }

    /** The words that need not be exact. */
    static Set<String> wordsOf(String typed) {
        Set<String> words = new LinkedHashSet<>();
        Matcher matcher = PIECE.matcher(typed);
        while (matcher.find() && words.size() < MOST_WORDS) {
            if (matcher.group(2) != null) {
                words.addAll(PLAIN.words(matcher.group(2)));
            }
        }
        return words;
    }

    /**
     * The whole query; what narrows it takes no part in the order.
     *
     * @param onlySome whether most of the words are enough
     */
    Query of(Wanted wanted, boolean onlySome) {
        BooleanQuery.Builder whole = new BooleanQuery.Builder();
        List<Query> pieces = pieces(wanted.words());
        if (pieces.isEmpty()) {
            whole.add(new MatchAllDocsQuery(), Occur.FILTER);
        } else if (onlySome && pieces.size() > 1) {
            BooleanQuery.Builder some = new BooleanQuery.Builder();
            pieces.forEach(each -> some.add(each, Occur.SHOULD));
            some.setMinimumNumberShouldMatch(Math.max(1, pieces.size() * 2 / 3));
            whole.add(some.build(), Occur.MUST);
        } else {
            pieces.forEach(each -> whole.add(each, Occur.MUST));
        }
        filter(whole, wanted);
        whole.add(
                LongField.newDistanceFeatureQuery("at", NEWNESS, wanted.now().toEpochMilli(), HALF_MILLIS),
                Occur.SHOULD);
        return whole.build();
    }

    /** The words alone, for showing where they stand. */
    Query words(String typed) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        pieces(typed).forEach(each -> any.add(each, Occur.SHOULD));
        return any.build();
    }

    private List<Query> pieces(String typed) {
        List<Query> pieces = new ArrayList<>();
        Matcher matcher = PIECE.matcher(typed);
        while (matcher.find() && pieces.size() < MOST_WORDS) {
            String quoted = matcher.group(1);
            List<String> words = PLAIN.words(quoted != null ? quoted : matcher.group(2));
            if (quoted != null && !words.isEmpty()) {
                pieces.add(anywhere(field -> phrase(field, words)));
            } else if (words.size() > 1) {
                // An address or a word with a dash stands together; its last part may be begun only.
                pieces.add(words.size() > MOST_WORDS ? anywhere(field -> phrase(field, words)) : together(words));
            } else if (words.size() == 1) {
                pieces.add(anywhere(field -> word(field, words.get(0))));
            }
        }
        return pieces;
    }

    private Query together(List<String> words) {
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        words.forEach(each -> all.add(anywhere(field -> word(field, each)), Occur.MUST));
        BooleanQuery.Builder either = new BooleanQuery.Builder();
        either.add(anywhere(field -> phrase(field, words)), Occur.SHOULD);
        either.add(all.build(), Occur.SHOULD);
        return either.build();
    }

    private interface InField {
        Query in(String field);
    }

    private static Query anywhere(InField query) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        FIELDS.forEach((field, weight) -> any.add(new BoostQuery(query.in(field), weight), Occur.SHOULD));
        return any.build();
    }

    private static Query phrase(String field, List<String> words) {
        PhraseQuery.Builder phrase = new PhraseQuery.Builder();
        words.forEach(each -> phrase.add(new Term(field, each)));
        return phrase.build();
    }

    private Query word(String field, String word) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        any.add(new BoostQuery(new TermQuery(new Term(field, word)), 2f), Occur.SHOULD);
        String stem = Stems.stem(word);
        any.add(new TermQuery(new Term(field, Stems.MARK + stem)), Occur.SHOULD);
        if (!stem.equals(word)) {
            any.add(new TermQuery(new Term(field, stem)), Occur.SHOULD);
        }
        if (word.length() > 1) {
            any.add(weighed(new PrefixQuery(new Term(field, word)), 0.5f), Occur.SHOULD);
        }
        for (String each : similar.getOrDefault(word, Set.of())) {
            any.add(weighed(new TermQuery(new Term(field, each)), 0.3f), Occur.SHOULD);
        }
        return any.build();
    }

    private static Query weighed(Query query, float weight) {
        return new BoostQuery(new ConstantScoreQuery(query), weight);
    }

    private static void filter(BooleanQuery.Builder whole, Wanted wanted) {
        Filter filter = wanted.filter();
        exact(whole, "kind", filter.kind());
        exact(whole, "person", filter.person() == null ? null : filter.person().toLowerCase(Locale.ROOT));
        exact(whole, "category", filter.categoryId());
        exact(whole, "source", filter.sourceId());
        exact(whole, "room", filter.roomId());
        exact(whole, "standing", filter.standing());
        exact(whole, "file", filter.withFile());
        exact(whole, "linked", filter.linked());
        LocalDate from = filter.fromDay();
        LocalDate to = filter.toDay();
        if (from != null || to != null) {
            long first = from == null
                    ? Long.MIN_VALUE
                    : from.atStartOfDay(wanted.zone()).toInstant().toEpochMilli();
            long last = to == null
                    ? Long.MAX_VALUE
                    : to.plusDays(1).atStartOfDay(wanted.zone()).toInstant().toEpochMilli() - 1;
            whole.add(LongPoint.newRangeQuery("at", first, last), Occur.FILTER);
        }
    }

    private static void exact(BooleanQuery.Builder whole, String field, @Nullable Object value) {
        if (value != null) {
            whole.add(new TermQuery(new Term(field, value.toString())), Occur.FILTER);
        }
    }
}
