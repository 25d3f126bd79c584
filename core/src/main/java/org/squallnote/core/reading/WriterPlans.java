package org.squallnote.core.reading;

import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows dates that are the writer's own plan and no deadline for anybody else. */
final class WriterPlans {

    private WriterPlans() {}

    /** "I have to leave by 3", "we'll be done by Friday": the writer's own day, unless they need something by then. */
    static boolean isPlanOfWriter(ReadSentence read, Dated dated) {
        int at = dated.lead();
        int unit = read.parts().unitOf(at);
        for (SentenceAsks.FoundAsk ask : read.found()) {
            if (read.parts().unitOf(ask.from()) == unit && (ask.from() <= at || ask.kind() == Ask.Kind.QUESTION)) {
                return isPromisedIn(read, unit, at) && ask.from() > at;
            }
        }
        Sentence sentence = read.sentence();
        if (isPurpose(read, at) || isReasonOfAsk(read, unit)) {
            return false;
        }
        boolean having = false;
        boolean writer = false;
        for (int i = read.parts().firstOfUnit(unit); i < at; i++) {
            String norm = sentence.norm(i);
            writer |= norm.equals("i")
                    || norm.equals("we")
                    || norm.equals("i'll")
                    || norm.equals("we'll")
                    || norm.equals("i'm")
                    || norm.equals("we're");
            boolean others = norm.equals("they") || norm.equals("he") || norm.equals("she");
            // "they must be back by Friday" says what is wanted, not what they plan.
            writer |= others && !sentence.at(i + 1).is("must", "should", "have", "need", "ought");
            having |= WordClass.HAVING.has(sentence, i);
        }
        boolean obliged =
                sentence.norm(at - 1).equals("leave") || sentence.norm(at - 1).equals("go");
        return isPromisedIn(read, unit, at) || (writer && (!having || obliged));
    }

    /** "I need to list my referees by Friday, so a quick yes would help": why it is asked, and by when. */
    private static boolean isReasonOfAsk(ReadSentence read, int unit) {
        int next = read.parts().endOfUnit(unit);
        if (!read.sentence().norm(next).equals("so")) {
            return false;
        }
        for (Ask ask : read.asks()) {
            if (ask.words().fromInclusive() >= read.sentence().at(next).span().fromInclusive()) {
                return true;
            }
        }
        return false;
    }

    /** "so that I can hand it in by Friday": what the ask is for. */
    private static boolean isPurpose(ReadSentence read, int at) {
        Sentence sentence = read.sentence();
        for (int i = read.parts().firstOfClause(read.parts().clauseOf(at)); i < at - 2; i++) {
            boolean so = sentence.norm(i).equals("so");
            int subject = sentence.norm(i + 1).equals("that") ? i + 2 : i + 1;
            if (so
                    && sentence.at(subject).is("i", "we", "they", "he", "she", "it")
                    && sentence.at(subject + 1).is("can", "could", "have", "will", "is", "gets", "may", "might")) {
                return !read.asks().isEmpty();
            }
        }
        return false;
    }

    private static boolean isPromisedIn(ReadSentence read, int unit, int at) {
        for (PhraseMatch act : read.acts()) {
            if (act.label().equals("promise")
                    && read.parts().unitOf(act.fromInclusive()) == unit
                    && act.fromInclusive() < at) {
                return true;
            }
        }
        return false;
    }
}
