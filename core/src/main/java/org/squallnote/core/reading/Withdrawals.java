package org.squallnote.core.reading;

import java.util.List;
import java.util.Optional;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordClass;

/** Finds the words that take an ask back. */
final class Withdrawals {

    /** So many sentences before "ignore that" at the most it speaks of. */
    private static final int FARTHEST = 2;

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

    /**
     * Whether the words end the message and take back what was asked in the sentences before: "Could you send me the list? Oh
     * wait, Tom has it, ignore that."
     */
    static boolean takesBackAtOnce(Withdrawal withdrawal, List<ReadSentence> sentences) {
        int last = sentences.size() - 1;
        boolean general = !withdrawal.lastMessageOnly()
                && withdrawal.about().fromInclusive() == withdrawal.about().toExclusive();
        if (!general
                || last < 1
                || !sentences.get(last).asks().isEmpty()
                || !opensAPart(sentences.get(last).sentence(), withdrawal)) {
            return false;
        }
        int first = 0;
        while (first < last && sentences.get(first).asks().isEmpty()) {
            first++;
        }
        return last - first <= FARTHEST;
    }

    /** Whether the words speak of nothing else: "please ignore that", and not "the old one can be deleted". */
    private static boolean opensAPart(Sentence sentence, Withdrawal withdrawal) {
        for (int i = 0; i < sentence.size(); i++) {
            if (sentence.at(i).span().fromInclusive() == withdrawal.words().fromInclusive()) {
                int before = i;
                while (before > 0 && !sentence.at(before).followsMark() && isLedIn(sentence, before - 1)) {
                    before--;
                }
                return before == 0 || sentence.at(before).followsMark();
            }
        }
        return false;
    }

    private static boolean isLedIn(Sentence sentence, int at) {
        return WordClass.EXCLAIMED.has(sentence, at)
                || WordClass.BEFORE_TAKING_BACK.has(sentence, at)
                || Clauses.isLeadIn(sentence, at);
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
