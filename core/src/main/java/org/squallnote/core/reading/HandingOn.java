package org.squallnote.core.reading;

import java.util.Optional;
import java.util.Set;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** Knows a sentence that says that somebody else will answer. */
final class HandingOn {

    private HandingOn() {}

    /** "Ann will get back to you", "Ann is dealing with it and will let you know", "she'll send it to you". */
    static Optional<Set<String>> leftTo(ReadSentence read, People people, Set<String> namedBefore) {
        Sentence sentence = read.sentence();
        if (sentence.isQuestion() || !read.found().isEmpty()) {
            return Optional.empty();
        }
        Set<String> named = namedBefore;
        int subjectEnd = -1;
        for (int i = 0; i < sentence.size(); i++) {
            People.FoundName name = other(sentence, i, people);
            if (name.isSomebody()) {
                named = name.addresses();
                boolean subject = i == 0
                        || sentence.startsClause(i)
                        || sentence.at(i).followsMark()
                        || WordClass.BEFORE_A_DOER.has(sentence, i - 1);
                subjectEnd = subject ? name.toExclusive() : subjectEnd;
            } else if (WordClass.SOMEBODY.has(sentence, i) || isUnknownName(sentence, i)) {
                subjectEnd = i + 1;
            }
            boolean will = (subjectEnd >= 0 && i >= subjectEnd && sentence.at(i).is("will", "'ll", "shall"))
                    || WordClass.SOMEBODY_WILL.has(sentence, i);
            if (will && answersYou(sentence, i + 1)) {
                return Optional.of(named);
            }
            if (sentence.at(i).is("i", "i'll", "i've", "we", "we'll", "we've")) {
                subjectEnd = -1;
            }
        }
        return Optional.empty();
    }

    /** Somebody named at a word who is not me; "will" is no short form here. */
    private static People.FoundName other(Sentence sentence, int at, People people) {
        People.FoundName name = people.at(sentence, at);
        return people.isMe(name.addresses()) || sentence.at(at).is("will") ? People.FoundName.NOBODY : name;
    }

    /** Whom "she" means in the next sentence. */
    static Set<String> lastNamed(Sentence sentence, People people, Set<String> before) {
        Set<String> named = before;
        for (int i = 0; i < sentence.size(); i++) {
            People.FoundName name = other(sentence, i, people);
            named = name.isSomebody() ? name.addresses() : named;
        }
        return named;
    }

    private static boolean isUnknownName(Sentence sentence, int at) {
        return (at == 0 || sentence.startsClause(at))
                && sentence.at(at).capital()
                && !NotNames.isOne(sentence, at)
                && !sentence.at(at).is("will");
    }

    private static boolean answersYou(Sentence sentence, int after) {
        int verb = after;
        while (verb < sentence.size()
                && sentence.at(verb)
                        .is("then", "also", "now", "definitely", "personally", "happily", "gladly", "soon")) {
            verb++;
        }
        if (!WordClass.ANSWERING.has(sentence, verb)) {
            return false;
        }
        // "Mr Abney will be with you tomorrow", "the lorry will be at your gate": who comes, and not who will answer.
        boolean be = sentence.at(verb).is("be");
        for (int i = verb; i < sentence.size(); i++) {
            if (be ? sentence.at(i).is("touch", "back") : sentence.at(i).is("you", "your", "touch")) {
                return true;
            }
        }
        return false;
    }
}
