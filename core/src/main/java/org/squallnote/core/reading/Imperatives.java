package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** The asks of a sentence that no phrase of the lists finds: bare imperatives, and what is to be handed in without a verb. */
final class Imperatives {

    private final Sentence sentence;
    private final Parts parts;
    private final SentenceAsks asks;

    Imperatives(Sentence sentence, Parts parts, SentenceAsks asks) {
        this.sentence = sentence;
        this.parts = parts;
        this.asks = asks;
    }

    void imperatives(List<SentenceAsks.FoundAsk> found) {
        for (int i = 0; i < sentence.size(); i++) {
            if (!sentence.startsClause(i) || sentence.at(i).quoted()) {
                continue;
            }
            if (sentence.norm(i).equals("let")
                    && WordClass.US.has(sentence, i + 1)
                    && !WordClass.LET_ME.has(sentence, i + 2)) {
                continue; // "Let me run it past the treasurer": what the writer will do.
            }
            if (isEmphatic(i) && !asks.isVoid(i, "request")) {
                found.add(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, i, i + 2, i + 1, AskShapes.EMPHATIC));
                continue;
            }
            boolean verb = WordClass.IMPERATIVE.has(sentence, i);
            boolean nounToo = WordClass.IMPERATIVE_NOUN.has(sentence, i);
            if (!verb && !nounToo && !givesMe(i)) {
                continue;
            }
            boolean objectFollows = i + 1 < sentence.size()
                    && !sentence.at(i + 1).followsMark()
                    && (WordClass.OBJECT.has(sentence, i + 1)
                            || (verb && looksLikeObject(i + 1) && !isSubjectOfAStatement(i)));
            if ((objectFollows || isByWhen(i)) && isImperativeHere(i) && !asks.isVoid(i, "request")) {
                found.add(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, i, i + 1, i, AskShapes.IMPERATIVE));
            }
        }
    }

    /** "Chuck me the keys": whatever the verb is, what it gives to whom says that it is one. */
    private boolean givesMe(int at) {
        return WordClass.US.has(sentence, at + 1)
                && WordClass.OBJECT.has(sentence, at + 2)
                && !sentence.at(at + 2).followsMark()
                && !WordClass.TOLD_BEFORE.has(sentence, at)
                && !WordClass.GONE_BY.has(sentence, at)
                && !WordClass.BEFORE_A_THIRD_PERSON.has(sentence, at)
                && !WordClass.JOINT.has(sentence, at)
                && !NotNames.isOne(sentence, at)
                && !sentence.norm(at).endsWith("ed")
                && !sentence.norm(at).endsWith("s");
    }

    /** "Do think of a title": urged, not asked whether. */
    private boolean isEmphatic(int at) {
        return sentence.norm(at).equals("do")
                && !sentence.isQuestion()
                && at + 2 < sentence.size()
                && !sentence.at(at + 1).followsMark()
                && (WordClass.IMPERATIVE.has(sentence, at + 1) || WordClass.URGED.has(sentence, at + 1));
    }

    /** "If that's a problem tell me": people leave out the comma between a condition and what they ask then. */
    void afterCondition(List<SentenceAsks.FoundAsk> found) {
        if (!WordClass.OPENS_A_CONDITION.hasAnyOf(sentence)) {
            return;
        }
        int condition = -1;
        for (int i = 0; i < sentence.size() - 1; i++) {
            if (sentence.startsPart(i)) {
                condition = -1;
            }
            if (WordClass.OPENS_A_CONDITION.has(sentence, i) && sentence.startsClause(i)) {
                condition = i;
            }
            boolean telling = condition >= 0
                    && i >= condition + 3
                    && WordClass.TELLING.has(sentence, i)
                    && WordClass.US.has(sentence, i + 1)
                    && !WordClass.BEFORE_A_FINITE_VERB.has(sentence, i - 1)
                    && !sentence.norm(i - 1).endsWith("s");
            if (telling && !asks.isVoid(i, "request")) {
                found.add(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, i, i + 1, i, AskShapes.BEHIND_A_CONDITION));
                return;
            }
        }
    }

    /** "reply by Friday", "sign before noon", but not the second half of "we will review and reply by Friday". */
    private boolean isByWhen(int at) {
        int first = parts.firstOfClause(parts.clauseOf(at));
        boolean joined = first > 0 && Clauses.isConjunction(sentence, first);
        return !joined && at + 1 < sentence.size() && !sentence.at(at + 1).followsMark() && asks.has("done-alone", at);
    }

    /** "Return flight is booked", "Deposit and names received": a noun after all. */
    private boolean isSubjectOfAStatement(int at) {
        if (sentence.at(at + 1).capital()) {
            return false;
        }
        int clause = parts.clauseOf(at);
        for (int i = at + 1; i < sentence.size() && parts.clauseOf(i) == clause; i++) {
            if (WordClass.SUBORDINATE.has(sentence, i)) {
                return false;
            }
            if (WordClass.FINITE.has(sentence, i)) {
                return true;
            }
        }
        return false;
    }

    private boolean looksLikeObject(int at) {
        String norm = sentence.norm(at);
        // "Clear and short."
        boolean joins = Clauses.isConjunction(sentence, at) && !WordClass.IMPERATIVE.has(sentence, at + 1);
        return !joins && !WordClass.NO_OBJECT.has(sentence, at) && (!norm.endsWith("ed") || isBeforeANoun(at + 1));
    }

    /** "circulate revised plans", not "check finished on Friday". */
    private boolean isBeforeANoun(int at) {
        String norm = sentence.norm(at);
        return norm.length() > 3 && !sentence.at(at).followsMark() && !NotNames.isOne(sentence, at);
    }

    /** A bare imperative starts its sentence or follows another ask; "I send the list and take the train" has none. */
    private boolean isImperativeHere(int at) {
        int clause = parts.clauseOf(at);
        int first = parts.firstOfClause(clause);
        for (int i = first; i < at; i++) {
            String norm = sentence.norm(i);
            boolean leads = Clauses.isLeadIn(sentence, i)
                    || Clauses.isConjunction(sentence, i)
                    || sentence.at(i).isMention()
                    || (sentence.at(i).capital() && !norm.equals("i"));
            if (!leads) {
                return false;
            }
        }
        if (first == 0) {
            return true;
        }
        if (WordClass.AND_OR_THEN.has(sentence, first)) {
            return startsWithAsk(parts.clauseOf(first - 1));
        }
        return true;
    }

    private boolean startsWithAsk(int clause) {
        for (PhraseMatch match : asks.matches()) {
            if (SentenceAsks.isAsk(match.label()) && parts.clauseOf(match.fromInclusive()) <= clause) {
                return true;
            }
        }
        int first = parts.firstOfClause(0);
        while (first < sentence.size()
                && (Clauses.isLeadIn(sentence, first) || sentence.at(first).isMention())) {
            first++;
        }
        boolean imperative =
                WordClass.IMPERATIVE.has(sentence, first) || WordClass.IMPERATIVE_NOUN.has(sentence, first);
        return imperative && !asks.isVoid(first, "request");
    }
}
