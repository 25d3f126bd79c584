package org.squallnote.core.reading;

import java.util.List;
import java.util.Optional;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Span;

/** Finds the words that take an ask back. */
final class Withdrawals {

    private Withdrawals() {}

    /** The first words that take an ask back. */
    static Optional<Withdrawal> first(List<ReadSentence> said) {
        for (ReadSentence read : said) {
            for (PhraseMatch act : read.acts()) {
                if (act.label().equals("withdraw")
                        && !read.sentence().at(act.fromInclusive()).quoted()
                        && !isInsideQuestion(read, act)) {
                    return Optional.of(withdrawal(read.sentence(), act));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean isInsideQuestion(ReadSentence read, PhraseMatch act) {
        if (!read.sentence().isQuestion()) {
            return false;
        }
        int unit = read.parts().unitOf(act.fromInclusive());
        for (SentenceAsks.FoundAsk ask : read.found()) {
            if (ask.from() <= act.fromInclusive() && read.parts().unitOf(ask.from()) == unit) {
                return true;
            }
        }
        return false;
    }

    private static Withdrawal withdrawal(Sentence sentence, PhraseMatch act) {
        boolean lastOnly = false;
        int end = act.fromInclusive();
        while (end < sentence.size()
                && (end == act.fromInclusive() || !sentence.at(end).followsMark())) {
            String norm = sentence.norm(end);
            lastOnly |= norm.equals("last") || norm.equals("previous");
            end++;
        }
        int about = Math.min(act.wantedAt(), end);
        Span aboutSpan = about < end
                ? sentence.spanOf(about, end)
                : new Span(sentence.span().toExclusive(), sentence.span().toExclusive());
        return new Withdrawal(sentence.spanOf(act.fromInclusive(), end), lastOnly, aboutSpan);
    }
}
