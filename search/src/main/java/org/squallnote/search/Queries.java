package org.squallnote.search;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.lucene.document.LongField;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.FuzzyQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.WildcardQuery;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.search.Filter;

/** Makes queries of what was typed. */
final class Queries {

    /** How far what was typed may be from what is found. */
    enum Breadth {
        /** Each word as it is, in another form, or as a beginning. */
        AS_TYPED,
        /** Each word with a slip of the keyboard, or as a part of another. */
        SIMILAR,
        /** Not each word, but most. */
        SOME
    }

    private static final Pattern PIECE = Pattern.compile("\"([^\"]*)\"?|([^\\s\"]+)");

    /** A month ago weighs half as much as now. */
    private static final long HALF_MILLIS = 30L * 24 * 3_600_000;

    private static final float NEWNESS = 1.5f;
    private static final int SHORTEST_SIMILAR = 4;
    private static final int SHORTEST_PART = 3;
    private static final int LONG_WORD = 8;
    private static final int MOST_SIMILAR = 40;
    private static final int MOST_WORDS = 24;

    private static final List<Field> FIELDS =
            List.of(new Field("title", 3f), new Field("who", 2.5f), new Field("text", 1f));

    private record Field(String name, float weight) {}

    private final WordAnalyzer plain = new WordAnalyzer(false);

    /** The whole query; what narrows it takes no part in the order. */
    Query of(Wanted wanted, Breadth breadth) {
        BooleanQuery.Builder whole = new BooleanQuery.Builder();
        List<Query> pieces = pieces(wanted.words(), breadth);
        if (pieces.isEmpty()) {
            whole.add(new MatchAllDocsQuery(), Occur.FILTER);
        } else if (breadth == Breadth.SOME && pieces.size() > 1) {
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
    Query words(String typed, Breadth breadth) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        pieces(typed, breadth).forEach(each -> any.add(each, Occur.SHOULD));
        return any.build();
    }

    private List<Query> pieces(String typed, Breadth breadth) {
        List<Query> pieces = new ArrayList<>();
        Matcher matcher = PIECE.matcher(typed);
        while (matcher.find() && pieces.size() < MOST_WORDS) {
            String quoted = matcher.group(1);
            List<String> words = plain.words(quoted != null ? quoted : matcher.group(2));
            if (quoted != null && !words.isEmpty()) {
                pieces.add(anywhere(field -> phrase(field, words)));
            } else if (words.size() > 1) {
                // An address or a word with a dash stands together; its last part may be begun only.
                pieces.add(
                        words.size() > MOST_WORDS ? anywhere(field -> phrase(field, words)) : together(words, breadth));
            } else if (words.size() == 1) {
                pieces.add(anywhere(field -> word(field, words.get(0), breadth)));
            }
        }
        return pieces;
    }

    private static Query together(List<String> words, Breadth breadth) {
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        words.forEach(each -> all.add(anywhere(field -> word(field, each, breadth)), Occur.MUST));
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
        for (Field field : FIELDS) {
            any.add(new BoostQuery(query.in(field.name()), field.weight()), Occur.SHOULD);
        }
        return any.build();
    }

    private static Query phrase(String field, List<String> words) {
        PhraseQuery.Builder phrase = new PhraseQuery.Builder();
        words.forEach(each -> phrase.add(new Term(field, each)));
        return phrase.build();
    }

    private static Query word(String field, String word, Breadth breadth) {
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
        if (breadth != Breadth.AS_TYPED) {
            if (word.length() >= SHORTEST_SIMILAR) {
                int slips = word.length() >= LONG_WORD ? 2 : 1;
                any.add(
                        weighed(new FuzzyQuery(new Term(field, word), slips, 1, MOST_SIMILAR, true), 0.3f),
                        Occur.SHOULD);
            }
            if (word.length() >= SHORTEST_PART) {
                any.add(weighed(new WildcardQuery(new Term(field, "*" + word + "*")), 0.3f), Occur.SHOULD);
            }
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
