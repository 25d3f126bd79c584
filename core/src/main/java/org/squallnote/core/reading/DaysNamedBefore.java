package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DateLeads;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordClass;

/** Finds asks whose day was named before: "by then", "before that". */
final class DaysNamedBefore {

    static final Reason THEN = new Reason("stated.then", "We meet on Friday, please send it by then.");

    private final List<ReadSentence> sentences;
    private final DateContext context;
    private final boolean[] asking;

    /** @param asking for each sentence whether it holds an ask that counts */
    DaysNamedBefore(List<ReadSentence> sentences, DateContext context, boolean[] asking) {
        this.sentences = sentences;
        this.context = context;
        this.asking = asking;
    }

    /**
     * "Please confirm by then", "by the same date": the last date before it.
     *
     * @param sooner only what has to be before it, where another day is named as well
     */
    List<Deadline> all(boolean sooner) {
        List<Deadline> found = new ArrayList<>();
        Optional<Deadline> last = Optional.empty();
        for (int s = 0; s < asking.length; s++) {
            ReadSentence read = sentences.get(s);
            Sentence sentence = read.sentence();
            for (int i = 0; i < sentence.size() && asking[s]; i++) {
                if (!pointsBack(sentence, i) || isInDate(read, i)) {
                    continue;
                }
                Optional<Deadline> here = lastBefore(read, i);
                Optional<Deadline> named = here.isPresent() ? here : last;
                if (named.isPresent()) {
                    boolean before = DateLeads.at(sentence, i).equals("before") || isBefore(sentence, i);
                    if (sooner && !before) {
                        continue;
                    }
                    Deadline then = before ? dayBefore(named.get()) : named.get();
                    found.add(read.has("soft") ? then.softened() : then);
                }
            }
            Optional<Deadline> here = lastBefore(read, sentence.size());
            last = here.isPresent() ? here : last;
        }
        return found;
    }

    private static boolean pointsBack(Sentence sentence, int at) {
        return isBefore(sentence, at) || (saysThen(sentence, at + 1) && DateLeads.isLimit(sentence, at));
    }

    /** Behind which word a date has to stand: "I order on Friday, so tell me before that" does not set the Friday. */
    static int lastPointingBack(ReadSentence read) {
        for (int i = read.sentence().size() - 1; i > 0; i--) {
            if (pointsBack(read.sentence(), i) && !isInDate(read, i)) {
                return i;
            }
        }
        return -1;
    }

    private static boolean isInDate(ReadSentence read, int at) {
        for (DatePhrase phrase : read.dates()) {
            if (phrase.fromInclusive() <= at && at < phrase.toExclusive()) {
                return true;
            }
        }
        return false;
    }

    /** "The photos must be with me before." */
    private static boolean isBefore(Sentence sentence, int at) {
        boolean closes = at == sentence.size() - 1 || sentence.at(at + 1).followsMark();
        return at > 1
                && closes
                && sentence.at(at).is("before", "beforehand")
                && !WordClass.OTHERWISE_BEFORE.has(sentence, at - 1)
                && !sentence.at(at - 1).isNumber();
    }

    /** "by then", "before that", "before it starts", "by the same date". */
    private static boolean saysThen(Sentence sentence, int at) {
        return switch (sentence.norm(at)) {
            case "then", "that" -> true;
            case "it" -> WordClass.STARTS.has(sentence, at + 1);
            case "the", "this" -> WordClass.SAME_DAY.has(sentence, at + 1);
            default -> false;
        };
    }

    /** The last date of a sentence that begins before a word and is still ahead. */
    private Optional<Deadline> lastBefore(ReadSentence read, int word) {
        Optional<Deadline> last = Optional.empty();
        for (DatePhrase phrase : read.dates()) {
            if (phrase.fromInclusive() < word && isAhead(phrase)) {
                Span words = read.sentence().spanOf(phrase.fromInclusive(), phrase.toExclusive());
                last = Optional.of(new Deadline(phrase.day(), phrase.time(), true, words, false, THEN));
            }
        }
        return last;
    }

    private Deadline dayBefore(Deadline named) {
        return named.time().isPresent()
                ? named
                : new Deadline(
                        context.lastDayUpTo(named.day().minusDays(1)),
                        named.time(),
                        named.firm(),
                        named.words(),
                        named.inSubject(),
                        named.because());
    }

    private boolean isAhead(DatePhrase phrase) {
        return !phrase.end().isBefore(context.sentAt());
    }
}
