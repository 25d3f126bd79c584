package org.squallnote.core.reading;

import java.util.Optional;
import java.util.Set;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** "Ann, the same for the moorings", "Will, same for you": asks somebody else what was asked before. */
final class SameAgain {

    private static final Set<String> BEFORE_THINGS =
            Set.of("the", "a", "an", "your", "some", "both", "all", "two", "three", "four");

    /** What somebody is to do likewise is said in few words. */
    private static final int LONGEST_THING = 6;

    /**
     * Somebody who is asked the same for another thing.
     *
     * @param ask from their name on
     */
    record Likewise(Addressees who, SentenceAsks.FoundAsk ask) {}

    private SameAgain() {}

    static Optional<SentenceAsks.FoundAsk> of(Sentence sentence, Vocatives.Call opening, Vocatives.Call trailing) {
        int at = opening.isOne() ? opening.toExclusive() : 0;
        while (at < sentence.size() && sentence.at(at).is("and", "the", "please", "exactly", "just")) {
            at++;
        }
        boolean same = at < sentence.size() && sentence.at(at).is("same", "likewise", "ditto");
        boolean toSomebody = opening.isOne() || trailing.isOne() || isForYou(sentence, at);
        return same && toSomebody && at < sentence.size()
                ? Optional.of(new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, at, at + 1, at, AskShapes.SAME_AGAIN))
                : Optional.empty();
    }

    /** "The same goes for you, Tom." */
    private static boolean isForYou(Sentence sentence, int at) {
        for (int i = at + 1; i + 1 < sentence.size(); i++) {
            if (sentence.at(i).is("for", "from") && sentence.at(i + 1).is("you")) {
                return true;
            }
        }
        return false;
    }

    /** "Mina, please bring the projector, and Paul the screen": a verb that would be the same is left out. */
    static Optional<Likewise> withoutVerb(Sentence sentence, People people) {
        for (int i = 1; i + 2 < sentence.size(); i++) {
            if (!sentence.at(i).is("and")) {
                continue;
            }
            People.FoundName name = people.at(sentence, i + 1);
            int thing = name.toExclusive();
            boolean few = name.isSomebody() && sentence.size() - thing <= LONGEST_THING;
            if (few && BEFORE_THINGS.contains(sentence.norm(thing)) && isOnlyAThing(sentence, thing + 1)) {
                SentenceAsks.FoundAsk ask =
                        new SentenceAsks.FoundAsk(Ask.Kind.REQUEST, i + 1, thing, thing, AskShapes.VERB_LEFT_OUT);
                return Optional.of(new Likewise(Addressees.of(name.addresses()), ask));
            }
        }
        return Optional.empty();
    }

    /** No verb tells what somebody does with it. */
    private static boolean isOnlyAThing(Sentence sentence, int from) {
        for (int i = from + 1; i < sentence.size(); i++) {
            if (WordClass.GIVING_FORMS.has(sentence, i)
                    || sentence.at(i).is("is", "are", "was", "were", "has", "have", "had", "will", "can", "could")) {
                return false;
            }
        }
        return from < sentence.size();
    }
}
