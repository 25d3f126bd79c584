package org.squallnote.core.reading;

import java.util.Optional;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** What somebody named is given to do: "Tom: confirm the room", "Ines to send the list", "Ines check the valve". */
final class NamedTasks {

    private final People people;

    NamedTasks(People people) {
        this.people = people;
    }

    /** "Tom: confirm the room", a line that gives somebody who is known a task. */
    boolean isAssigned(Sentence sentence) {
        People.FoundName found = people.at(sentence, 0);
        return found.isSomebody() && isBeforeColonOrDash(sentence, found.toExclusive());
    }

    /** What such a line gives its person to do. */
    Optional<SentenceAsks.FoundAsk> task(Sentence sentence) {
        int from = people.at(sentence, 0).toExclusive();
        return isAssigned(sentence) && from < sentence.size()
                ? Optional.of(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, from, sentence.size(), from, AskShapes.TASK))
                : Optional.empty();
    }

    /** The same with a name that is not known: "Peter - report back". */
    boolean isAssignedToUnknown(Sentence sentence) {
        if (sentence.size() < 3
                || !sentence.at(0).capital()
                || NotNames.isOne(sentence, 0)
                || people.at(sentence, 0).isSomebody()) {
            return false;
        }
        return isBeforeColonOrDash(sentence, 1) || (sentence.at(1).capital() && isBeforeColonOrDash(sentence, 2));
    }

    /** "Ines to send the list" at the front, as in minutes; "I need Ines to sign it". */
    Optional<SentenceAsks.FoundAsk> toBeDoneBy(Sentence sentence) {
        Optional<SentenceAsks.FoundAsk> awaited = awaitedFrom(sentence);
        if (awaited.isPresent() || !WordClass.TO.hasAnyOf(sentence)) {
            return awaited;
        }
        for (int i = 0; i < sentence.size() - 2; i++) {
            boolean needed = i > 0
                    && WordClass.WISHING.has(sentence, i)
                    && sentence.at(i - 1).is("i", "we", "i'd", "we'd", "would", "will");
            int name = needed ? i + 1 : i;
            if (i > 0 && !needed) {
                continue;
            }
            People.FoundName found = people.at(sentence, name);
            int after = found.isSomebody() ? found.toExclusive() : sentence.size();
            boolean duty = i == 0 && hasADuty(sentence, after);
            int to = duty ? after + 1 : after;
            boolean said = to < sentence.size() - 1
                    && sentence.norm(to).equals("to")
                    && !sentence.at(to).followsMark()
                    && !sentence.norm(to + 1).equals("the");
            if (said) {
                Ask.Kind kind = needed ? Ask.Kind.NEED : Ask.Kind.REQUEST;
                return Optional.of(new SentenceAsks.FoundAsk(kind, i, to + 1, to + 1, AskShapes.NAMED_TASK));
            }
        }
        return Optional.empty();
    }

    /** "still waiting for Ines on the valve". */
    private Optional<SentenceAsks.FoundAsk> awaitedFrom(Sentence sentence) {
        for (int i = 0; i < sentence.size() - 2; i++) {
            if (WordClass.WAITING.has(sentence, i)
                    && sentence.at(i + 1).is("for", "on")
                    && people.at(sentence, i + 2).isSomebody()) {
                return Optional.of(new SentenceAsks.FoundAsk(Ask.Kind.NEED, i, i + 2, i + 2, AskShapes.AWAITED_FROM));
            }
        }
        return Optional.empty();
    }

    private static boolean isBeforeColonOrDash(Sentence sentence, int at) {
        return at < sentence.size()
                && (sentence.at(at).before() == ':' || sentence.at(at).before() == '-');
    }

    /** "Ines check the valve": what a name without a mark is told to do; verbs with a past of the same form tell nothing. */
    static boolean tellsToDo(Sentence sentence, int at) {
        boolean verb = WordClass.IMPERATIVE.has(sentence, at) || WordClass.IMPERATIVE_NOUN.has(sentence, at);
        return verb && !WordClass.SAME_IN_THE_PAST.has(sentence, at) && WordClass.OBJECT.has(sentence, at + 1);
    }

    /** What is told to somebody called in front without a mark. */
    Optional<SentenceAsks.FoundAsk> told(Sentence sentence, Vocatives.Call opening) {
        int at = opening.toExclusive();
        boolean told = opening.isOne()
                && at < sentence.size()
                && !sentence.startsClause(at)
                && (tellsToDo(sentence, at) || isLetMe(sentence, at));
        return told
                ? Optional.of(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, at, at + 1, at, AskShapes.TOLD))
                : Optional.empty();
    }

    /** "Ines needs to check the valve", not "Ines has to be in town". */
    static boolean hasADuty(Sentence sentence, int at) {
        return WordClass.DUTY.has(sentence, at)
                && sentence.norm(at + 1).equals("to")
                && !WordClass.STATES.has(sentence, at + 2);
    }

    static boolean isLetMe(Sentence sentence, int at) {
        return sentence.norm(at).equals("let")
                && sentence.at(Math.min(at + 1, sentence.size() - 1)).is("me", "us")
                && sentence.norm(at + 2).equals("know");
    }
}
