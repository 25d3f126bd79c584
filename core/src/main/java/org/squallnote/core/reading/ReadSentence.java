package org.squallnote.core.reading;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DateScanner;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;

/** A sentence of the own words with everything that was found in it. */
final class ReadSentence {

    private final ReadingLanguage language;
    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> acts;
    private final List<SentenceAsks.FoundAsk> found;
    private final List<Ask> asks;
    private final Addressees spokenTo;
    private final boolean salutation;
    private final boolean toReader;
    private final List<DatePhrase> dates;

    ReadSentence(
            ReadingLanguage language,
            Sentence sentence,
            SentenceAsks asksIn,
            List<SentenceAsks.FoundAsk> found,
            List<Ask> asks,
            Addressees spokenTo,
            boolean salutation,
            boolean toReader,
            DateContext context,
            Optional<LocalDate> namedBefore) {
        this.language = language;
        this.sentence = sentence;
        this.parts = asksIn.parts();
        this.acts = asksIn.matches();
        this.found = List.copyOf(found);
        this.asks = List.copyOf(asks);
        this.spokenTo = spokenTo;
        this.salutation = salutation;
        this.toReader = toReader;
        this.dates = salutation ? List.of() : DateScanner.in(sentence, context, namedBefore);
    }

    /** In which it is read. */
    ReadingLanguage language() {
        return language;
    }

    Sentence sentence() {
        return sentence;
    }

    Parts parts() {
        return parts;
    }

    List<PhraseMatch> acts() {
        return acts;
    }

    List<SentenceAsks.FoundAsk> found() {
        return found;
    }

    List<Ask> asks() {
        return asks;
    }

    Addressees spokenTo() {
        return spokenTo;
    }

    /** Whether the sentence is said to the one it is read for; in a message of mine, to those it goes to. */
    boolean isToReader() {
        return toReader;
    }

    boolean isSalutation() {
        return salutation;
    }

    List<DatePhrase> dates() {
        return dates;
    }

    boolean asksMe() {
        for (Ask ask : asks) {
            if (ask.ofMe()) {
                return true;
            }
        }
        return false;
    }

    boolean has(String label) {
        for (PhraseMatch act : acts) {
            if (act.label().equals(label)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a rule of a label stands at a word. */
    boolean hasAt(String label, int at) {
        return PhraseMatch.isAt(acts, label, at);
    }

    boolean hasIn(String label, int unit) {
        for (PhraseMatch act : acts) {
            if (act.label().equals(label) && parts.unitOf(act.fromInclusive()) == unit) {
                return true;
            }
        }
        return false;
    }

    /** Whether a phrase of a label stands there that none of some others lies over. */
    boolean hasBeside(String label, Set<String> over) {
        for (PhraseMatch act : acts) {
            if (act.label().equals(label) && !isUnder(act, over)) {
                return true;
            }
        }
        return false;
    }

    private boolean isUnder(PhraseMatch act, Set<String> labels) {
        for (PhraseMatch other : acts) {
            if (labels.contains(other.label())
                    && other.fromInclusive() < act.toExclusive()
                    && other.toExclusive() > act.fromInclusive()) {
                return true;
            }
        }
        return false;
    }

    /** Whether every clause begins with a phrase of one of these labels, behind the words that lead in. */
    boolean consistsOf(String... labels) {
        int last = parts.lastClause();
        boolean some = false;
        for (int clause = 0; clause <= last; clause++) {
            int first = parts.firstOfClause(clause);
            int end = clause == last ? sentence.size() : parts.firstOfClause(clause + 1);
            boolean covered = false;
            for (PhraseMatch act : acts) {
                if (act.fromInclusive() >= first
                        && act.fromInclusive() < end
                        && isOneOf(act.label(), labels)
                        && onlyLeadIn(first, act.fromInclusive())) {
                    covered = true;
                }
            }
            some |= covered;
            if (!covered && !onlyLeadInOrNames(first, end)) {
                return false;
            }
        }
        return some;
    }

    private static boolean isOneOf(String label, String... labels) {
        for (String one : labels) {
            if (one.equals(label)) {
                return true;
            }
        }
        return false;
    }

    private boolean onlyLeadIn(int from, int to) {
        int others = 0;
        for (int i = from; i < to; i++) {
            if (!Clauses.isLeadIn(sentence, i) && !Clauses.isConjunction(sentence, i)) {
                others++;
            }
        }
        return others <= 1;
    }

    private boolean onlyLeadInOrNames(int from, int to) {
        for (int i = from; i < to; i++) {
            boolean name = (sentence.at(i).capital() && !NotNames.isOne(sentence, i))
                    || sentence.at(i).isMention();
            if (!Clauses.isLeadIn(sentence, i) && !name) {
                return false;
            }
        }
        return true;
    }
}
