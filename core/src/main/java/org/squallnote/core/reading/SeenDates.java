package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.rule.RuleBook;

/** What rules make of the dates of a message, one by one. */
final class SeenDates {

    private SeenDates() {}

    static List<SeenDate> of(List<ReadSentence> sentences, DateContext context, RuleBook purposes, RuleBook besides) {
        List<SeenDate> seen = new ArrayList<>();
        boolean asked = false;
        for (int i = 0; i < sentences.size(); i++) {
            ReadSentence read = sentences.get(i);
            boolean asks = !read.asks().isEmpty();
            boolean next =
                    i + 1 < sentences.size() && !sentences.get(i + 1).asks().isEmpty();
            List<Dated> dates = DateRoles.in(read, context, purposes);
            boolean beside = asked || (next && DatedSentences.leadsUp(read, dates));
            for (Dated dated : dates) {
                Optional<Rule> sets = asks ? Optional.empty() : DatedSentences.decide(read, dated, beside, besides);
                seen.add(new SeenDate(
                        read.sentence().spanOf(dated.lead(), dated.phrase().toExclusive()),
                        dated.phrase().named(),
                        dated.because(),
                        dated.passed(),
                        otherwise(read, dated, context, purposes),
                        sets));
            }
            asked |= asks;
        }
        return seen;
    }

    private static Optional<Rule> otherwise(ReadSentence read, Dated dated, DateContext context, RuleBook purposes) {
        String last = purposes.rules().get(purposes.rules().size() - 1).id();
        String id = dated.because().id();
        return id.equals(last)
                ? Optional.empty()
                : DateRoles.in(read, context, purposes.without(id)).stream()
                        .filter(other ->
                                other.phrase().fromInclusive() == dated.phrase().fromInclusive())
                        .map(Dated::because)
                        .findFirst();
    }
}
