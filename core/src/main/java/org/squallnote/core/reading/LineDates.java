package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DateLeads;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DateScanner;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordClass;

/** The dates of a line that somebody typed as something to do, by the rules by which the dates of messages are read. */
public final class LineDates {

    /** What a date of a line is for. */
    public enum Use {
        /** It is said to be the deadline: "by Friday", "due on the 14th". */
        STATED,
        /** It stands there: "on Friday". */
        NAMED,
        /** It belongs to something else: "the invoice of 3 March". */
        MENTIONED
    }

    /**
     * A date of a line.
     *
     * @param phrase the day or time, "before" taken into account
     * @param words where it stands, with what leads to it and makes it strict: "by Friday at the latest"
     * @param strict whether the line says that it is meant strictly
     */
    public record LineDate(DatePhrase phrase, Span words, Use use, boolean strict) {}

    private LineDates() {}

    /** The dates in their order. */
    public static List<LineDate> in(String line, DateContext context) {
        return in(line, context, ReadingLanguage.ENGLISH);
    }

    static List<LineDate> in(String line, DateContext context, ReadingLanguage language) {
        List<LineDate> found = new ArrayList<>();
        for (Sentence sentence : SentenceSplitter.split(line, language.phrases())) {
            List<PhraseMatch> said = sentence.book().in(sentence);
            Parts parts = new Parts(sentence);
            DateRoles roles = new DateRoles(sentence, parts, said, context, language.purposes());
            Softness softness = new Softness(sentence, parts, said);
            List<DatePhrase> phrases = DateScanner.in(sentence, context);
            for (DatePhrase phrase : phrases) {
                DateRoles.Dated dated = roles.roleOf(phrase, phrases.size(), false);
                int end = endOf(sentence, phrase, said);
                found.add(new LineDate(
                        dated.phrase(),
                        sentence.spanOf(leadOf(sentence, phrase.fromInclusive()), end),
                        useOf(sentence, phrase, dated.role()),
                        softness.isHard(phrase) || end > phrase.toExclusive()));
            }
        }
        return found;
    }

    /** In what is to be done "until Friday" is a deadline, whatever it would be in a letter. */
    private static Use useOf(Sentence sentence, DatePhrase phrase, DateRoles.Role role) {
        if (DateLeads.isLimit(sentence, phrase.fromInclusive() - 1)) {
            return Use.STATED;
        }
        return switch (role) {
            case STATED -> Use.STATED;
            case TIED, EVENT -> Use.NAMED;
            case MENTION -> Use.MENTIONED;
        };
    }

    /** "no later than Friday", "on Friday": the first of the words that only lead to it. */
    private static int leadOf(Sentence sentence, int from) {
        int lead = from;
        while (lead > 0
                && (WordClass.BEFORE_A_DEADLINE.has(sentence, lead - 1) || WordClass.ROUGHLY.has(sentence, lead - 1))
                && !sentence.at(lead).followsMark()) {
            lead--;
        }
        return lead;
    }

    /** "Friday at the latest": behind what makes it strict. */
    private static int endOf(Sentence sentence, DatePhrase phrase, List<PhraseMatch> said) {
        int end = phrase.toExclusive();
        for (PhraseMatch act : said) {
            if (act.label().equals("hard") && act.fromInclusive() == phrase.toExclusive()) {
                end = Math.max(end, act.toExclusive());
            }
        }
        return WordClass.STRICTLY.has(sentence, end) ? end + 1 : end;
    }
}
