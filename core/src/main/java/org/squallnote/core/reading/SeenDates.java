package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.rule.RuleBook;

/** What rules make of the dates of a message, one by one, and all the rules that there are. */
public final class SeenDates {

    private SeenDates() {}

    /** All rules that are told by files of rules, in the order of the stages. */
    public static List<Rule> rules() {
        return Stream.concat(DateRoles.rules().rules().stream(), DatedSentences.rules().rules().stream())
                .toList();
    }

    static List<SeenDate> of(List<ReadSentence> sentences, DateContext context, RuleBook purposes, RuleBook besides) {
        List<SeenDate> seen = new ArrayList<>();
        boolean asked = false;
        for (int i = 0; i < sentences.size(); i++) {
            ReadSentence read = sentences.get(i);
            boolean asks = !read.asks().isEmpty();
            boolean next =
                    i + 1 < sentences.size() && !sentences.get(i + 1).asks().isEmpty();
            for (Dated dated : DateRoles.in(read, context, purposes)) {
                Optional<Rule> beside =
                        asks ? Optional.empty() : DatedSentences.decide(read, dated, asked || next, besides);
                seen.add(new SeenDate(
                        read.sentence().spanOf(dated.lead(), dated.phrase().toExclusive()),
                        dated.because(),
                        dated.passed(),
                        beside));
            }
            asked |= asks;
        }
        return seen;
    }
}
