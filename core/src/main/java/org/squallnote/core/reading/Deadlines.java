package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DateScanner;
import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.reading.DateRoles.Role;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;

/**
 * Finds the explicit deadline of the asks that pass a test (those meant for me, or those of somebody whom I ask): in their
 * own sentences, else in one that says what its date is for, else in the subject.
 */
final class Deadlines {

    private final ReadingLanguage language;
    private final List<ReadSentence> sentences;
    private final DateContext context;
    private final Predicate<Ask> wanted;

    /** For each sentence whether it holds an ask that is wanted. */
    private final boolean[] asking;

    Deadlines(ReadingLanguage language, List<ReadSentence> sentences, DateContext context, Predicate<Ask> wanted) {
        this.language = language;
        this.sentences = sentences;
        this.context = context;
        this.wanted = wanted;
        this.asking = new boolean[sentences.size()];
        for (int i = 0; i < asking.length; i++) {
            asking[i] = hasWanted(sentences.get(i));
        }
    }

    /** The deadline that counts: a firm one before a softened one, then the earliest that is still ahead. */
    Optional<Deadline> explicit(String subject) {
        List<Deadline> inAsks = new ArrayList<>();
        List<Deadline> elsewhere = new ArrayList<>();
        boolean asked = false;
        for (int i = 0; i < sentences.size(); i++) {
            ReadSentence read = sentences.get(i);
            boolean mine = asking[i];
            if (mine) {
                inAsks.addAll(ofAskSentence(read));
            } else if (!read.dates().isEmpty() && read.asks().isEmpty() && !isForSomebodyElse(read)) {
                List<Dated> dates = DateRoles.in(read, context);
                boolean next = i + 1 < sentences.size() && asking[i + 1];
                elsewhere.addAll(ofOtherSentence(read, dates, asked || (next && DatedSentences.leadsUp(read, dates))));
            }
            asked = mine || (asked && read.asks().isEmpty());
        }
        inAsks.addAll(new DaysNamedBefore(sentences, context, asking).all(!inAsks.isEmpty()));
        Optional<Deadline> found = best(inAsks);
        if (found.isEmpty() || !found.get().firm()) {
            List<Deadline> all = new ArrayList<>(inAsks);
            all.addAll(elsewhere);
            found = best(all);
        }
        return found.isPresent() ? found : best(ofSubject(subject));
    }

    /** Dates on which something takes place, named together with an ask. */
    List<Deadline> events() {
        List<Deadline> events = new ArrayList<>();
        for (int i = 0; i < asking.length; i++) {
            ReadSentence read = sentences.get(i);
            if (asking[i]) {
                for (Dated dated : DateRoles.in(read, context)) {
                    if (dated.role() == Role.EVENT && isAhead(dated.phrase())) {
                        events.add(deadline(read.sentence(), dated, false));
                    }
                }
            }
        }
        return events;
    }

    private boolean isForSomebodyElse(ReadSentence read) {
        // A promise of the writer, or a word to somebody who is not asked here.
        Set<String> spokenTo = read.spokenTo().addresses();
        if (spokenTo.isEmpty() || (spokenTo.size() > 1 && read.isToReader())) {
            return false;
        }
        for (int i = 0; i < asking.length; i++) {
            if (asking[i] && sentences.get(i).spokenTo().equals(read.spokenTo())) {
                return false;
            }
        }
        return true;
    }

    private boolean hasWanted(ReadSentence read) {
        for (Ask ask : read.asks()) {
            if (wanted.test(ask)) {
                return true;
            }
        }
        return false;
    }

    private Optional<Deadline> best(List<Deadline> candidates) {
        Optional<Deadline> best = Optional.empty();
        for (Deadline one : candidates) {
            boolean ahead = !one.end().isBefore(context.sentAt());
            if (ahead && (best.isEmpty() || isBetter(one, best.get()))) {
                best = Optional.of(one);
            }
        }
        return best;
    }

    private static boolean isBetter(Deadline one, Deadline other) {
        return one.firm() == other.firm() ? one.end().isBefore(other.end()) : one.firm();
    }

    private boolean isAhead(DatePhrase phrase) {
        return !phrase.end().isBefore(context.sentAt());
    }

    private List<Deadline> ofAskSentence(ReadSentence read) {
        List<Deadline> found = new ArrayList<>();
        List<Deadline> beside = new ArrayList<>();
        int from = read.dates().isEmpty() ? -1 : DaysNamedBefore.lastPointingBack(read);
        for (Dated dated : DateRoles.in(read, context)) {
            if (dated.lead() <= from || !belongsToWanted(read, dated)) {
                continue;
            }
            if (counts(read, dated)) {
                found.add(deadline(read.sentence(), dated, false));
            } else if (isBesideTheAsk(read, dated)) {
                DatedSentences.neededByOthers(read, dated)
                        .ifPresent(rule -> beside.add(deadline(read.sentence(), dated, false, rule.reason())));
            }
        }
        return found.isEmpty() ? beside : found;
    }

    /** "The boss wants it today, can you send it over?": in a part of the sentence that asks nothing itself. */
    private static boolean isBesideTheAsk(ReadSentence read, Dated dated) {
        int clause = read.parts().clauseOf(dated.phrase().fromInclusive());
        return read.found().stream().noneMatch(ask -> read.parts().clauseOf(ask.from()) == clause);
    }

    private static boolean counts(ReadSentence read, Dated dated) {
        return dated.role() == Role.TIED || (dated.role() == Role.STATED && !WriterPlans.isPlanOfWriter(read, dated));
    }

    /** A date goes with the ask that begins last before it; before any ask, with the first. */
    private boolean belongsToWanted(ReadSentence read, Dated dated) {
        Optional<Ask> owner = Optional.empty();
        int at = read.sentence().at(dated.phrase().fromInclusive()).span().fromInclusive();
        for (Ask ask : read.asks()) {
            if (owner.isEmpty() || ask.words().fromInclusive() <= at) {
                owner = Optional.of(ask);
            }
        }
        return owner.filter(wanted).isPresent();
    }

    /** A sentence without an ask counts when it says what its date is for, or is only a date after an ask. */
    private List<Deadline> ofOtherSentence(ReadSentence read, List<Dated> dates, boolean afterAsk) {
        List<Deadline> found = new ArrayList<>();
        boolean stated = dates.stream().anyMatch(dated -> dated.role() == Role.STATED);
        for (Dated dated : dates) {
            if (stated && dated.role() != Role.STATED) {
                continue; // "We see her on Saturday and have to tell her by the day before."
            }
            DatedSentences.because(read, dated, afterAsk)
                    .ifPresent(rule -> found.add(deadline(read.sentence(), dated, false, rule.reason())));
        }
        return found;
    }

    private List<Deadline> ofSubject(String subject) {
        List<Deadline> found = new ArrayList<>();
        for (Sentence sentence : SentenceSplitter.split(subject, language.phrases())) {
            List<DatePhrase> dates = DateScanner.in(sentence, context);
            if (dates.isEmpty()) {
                continue;
            }
            DateRoles roles = new DateRoles(
                    sentence, new Parts(sentence), sentence.book().in(sentence), context, language.purposes());
            for (DatePhrase phrase : dates) {
                Dated dated = roles.roleOf(phrase, dates.size(), false);
                boolean end = phrase.form() == DatePhrase.Form.END;
                if (dated.role() == Role.STATED || (end && dated.role() == Role.TIED)) {
                    found.add(deadline(sentence, dated, true));
                }
            }
        }
        return found;
    }

    static Deadline deadline(Sentence sentence, Dated dated, boolean inSubject) {
        return deadline(sentence, dated, inSubject, dated.because().reason());
    }

    private static Deadline deadline(Sentence sentence, Dated dated, boolean inSubject, Reason because) {
        Span words = sentence.spanOf(dated.lead(), dated.phrase().toExclusive());
        return new Deadline(dated.phrase().day(), dated.phrase().time(), dated.firm(), words, inSubject, because);
    }
}
