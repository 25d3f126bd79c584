package org.squallnote.core.reading;

import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/**
 * How a writer takes up something that was asked before. What it means depends on the ask: "sure" to a request is a
 * promise, to a question an answer.
 *
 * @param agrees whether it only says yes, willingly ("Sure", "With pleasure")
 * @param plans whether it says what happens at a time to come, in the present ("the post takes it along on Monday"), or
 *     names nothing but a time ("in an hour")
 * @param by that time, where it is a day or a moment
 * @param fulfils whether it says that something is done or handed over ("attached", "I have one")
 * @param leavesIt whether it says that somebody else will answer ("Ann will get back to you")
 * @param handsTo their addresses, where they are known
 */
public record TakingUp(
        boolean agrees,
        boolean plans,
        Optional<LocalDateTime> by,
        boolean fulfils,
        boolean leavesIt,
        Set<String> handsTo) {

    /** Takes up nothing. */
    public static final TakingUp NOTHING = new TakingUp(false, false, Optional.empty(), false, false, Set.of());

    private static final Set<String> GIVING = Phrases.BOOK.words("giving");
    private static final Set<String> TELLING = Phrases.BOOK.words("imperative");

    private static final WordSet PAST = Phrases.BOOK.set("gone-by");

    /** "I confirm Friday" does it by saying so, "as far as I know" does nothing. */
    private static final WordSet SAID_BY_IT = Phrases.BOOK.set("said-by-it");

    private static final WordSet GO = Phrases.BOOK.set("go");
    private static final WordSet GOING = Phrases.BOOK.set("goes");

    private static final WordSet AROUND_A_TIME = Phrases.BOOK.set("around-a-time");

    /** Whoever stands behind these is who does something. */
    private static final WordSet LEADING = Phrases.BOOK.set("before-a-doer");

    private static final WordSet SOMEBODY = Phrases.BOOK.set("somebody-will");

    private static final WordSet PERSON = Phrases.BOOK.set("somebody");

    private static final WordSet SUBJECT = Phrases.BOOK.set("doer");

    private static final WordSet ANSWERING = Phrases.BOOK.set("answering");

    /** A message of more sentences takes up more than can be told. */
    private static final int LONGEST = 6;

    private static final int LONGEST_FRAGMENT = 8;

    /** "My insurer promises it for Thursday." */
    private static final Set<String> FORETELLING = Set.of("promises", "expects", "announces", "plans", "says", "hopes");

    /** More words are no mere time. */
    private static final int LONGEST_TIME = 12;

    /** Who hands something on says so early: names are looked for in so many sentences. */
    private static final int MOST_LOOKED_AT = 12;

    /** Copies the addresses. */
    public TakingUp {
        handsTo = Set.copyOf(handsTo);
    }

    static TakingUp in(List<ReadSentence> said, DateContext context, People people) {
        boolean agrees = !said.isEmpty();
        boolean plans = false;
        boolean fulfils = false;
        boolean leavesIt = false;
        Set<String> named = Set.of();
        int looked = 0;
        Optional<LocalDateTime> by = Optional.empty();
        Set<String> handsTo = Set.of();
        for (ReadSentence read : said) {
            if (read.isSalutation()) {
                continue;
            }
            agrees &= read.asks().isEmpty() && isAgreement(read);
            fulfils |= read.has("fulfils");
            if (looked++ < MOST_LOOKED_AT) {
                Optional<Set<String>> others = leftTo(read, people, named);
                named = lastNamed(read.sentence(), people, named);
                leavesIt |= others.isPresent();
                handsTo = others.filter(some -> !some.isEmpty()).orElse(handsTo);
            }
            if (said.size() <= LONGEST && isPlan(read, context)) {
                plans = true;
                by = by.or(() -> lastAhead(read, context));
            }
        }
        boolean onlySalutations = said.stream().allMatch(ReadSentence::isSalutation);
        return new TakingUp(agrees && !onlySalutations, plans && !fulfils, by, fulfils, leavesIt && !fulfils, handsTo);
    }

    private static boolean isAgreement(ReadSentence read) {
        return (read.has("willing") || read.has("agrees"))
                && read.consistsOf("willing", "agrees", "confirm", "thanks", "praise");
    }

    private static boolean isPlan(ReadSentence read, DateContext context) {
        Sentence sentence = read.sentence();
        if (sentence.isQuestion()
                || !read.found().isEmpty()
                || lastAhead(read, context).isEmpty()) {
            return false;
        }
        if (isOnlyATime(read) || isWhereAndWhen(sentence)) {
            return true;
        }
        // "The printer was down; it goes out today": the first part tells of what has been, the second does not.
        Set<Integer> goneBy = new HashSet<>();
        for (int i = 1; i < sentence.size(); i++) {
            if (PAST.has(sentence, i)) {
                goneBy.add(read.parts().unitOf(i));
            }
        }
        for (int i = 1; i < sentence.size(); i++) {
            if (!goneBy.contains(read.parts().unitOf(i)) && happens(sentence, i)) {
                return true;
            }
        }
        return false;
    }

    private static Optional<LocalDateTime> lastAhead(ReadSentence read, DateContext context) {
        Optional<LocalDateTime> found = Optional.empty();
        for (DatePhrase phrase : read.dates()) {
            if (!phrase.end().isBefore(context.sentAt())) {
                found = Optional.of(phrase.end());
            }
        }
        return found;
    }

    /** "On my round at four", "after lunch on Monday": no clause, but when it will be. */
    private static boolean isWhereAndWhen(Sentence sentence) {
        if (sentence.size() > LONGEST_FRAGMENT
                || !sentence.at(0).is("on", "at", "in", "after", "before", "during", "with", "over")) {
            return false;
        }
        for (int i = 1; i < sentence.size(); i++) {
            boolean clause = SUBJECT.has(sentence, i)
                    || sentence.at(i).is("i", "we", "you", "he", "she", "they", "it", "is", "are", "was", "were")
                    || PAST.has(sentence, i);
            if (clause) {
                return false;
            }
        }
        return true;
    }

    /** "In an hour", "Tomorrow by noon", "Friday at the latest." */
    private static boolean isOnlyATime(ReadSentence read) {
        if (read.sentence().size() > LONGEST_TIME) {
            return false;
        }
        for (int i = 0; i < read.sentence().size(); i++) {
            int at = i;
            boolean dated =
                    read.dates().stream().anyMatch(phrase -> phrase.fromInclusive() <= at && at < phrase.toExclusive());
            if (!dated && !AROUND_A_TIME.has(read.sentence(), i)) {
                return false;
            }
        }
        return true;
    }

    /** "The post takes it along", "I bring it", "you get it", "our driver is bringing it". */
    private static boolean happens(Sentence sentence, int at) {
        String norm = sentence.norm(at);
        if (GOING.has(sentence, at) || (at > 1 && FORETELLING.contains(norm))) {
            return true;
        }
        String before = sentence.norm(at - 1);
        boolean will = before.equals("will") || before.equals("shall") || before.endsWith("'ll");
        if (will && norm.equals("be")) {
            // "They'll be ready by Wednesday"; what "will be with you" is on its way.
            return !sentence.norm(at + 1).equals("with");
        }
        // "Nils will bring it tomorrow"; "I will" promises, and what you will do is up to you.
        if (will && at >= 2 && Phrases.GIVING.has(sentence, at) && !SUBJECT.has(sentence, at - 2)) {
            return true;
        }
        if (SAID_BY_IT.has(sentence, at)) {
            return false;
        }
        if (SUBJECT.has(sentence, at - 1)) {
            return GO.has(sentence, at) || Phrases.GIVING.has(sentence, at) || Phrases.IMPERATIVE.has(sentence, at);
        }
        boolean several = before.length() > 3 && before.endsWith("s") && !before.endsWith("'s") && at >= 2;
        if (several && (GO.has(sentence, at) || Phrases.GIVING.has(sentence, at))) {
            return true;
        }
        boolean being = before.equals("is") || before.equals("are") || before.endsWith("'s") || before.endsWith("'re");
        if (being && norm.endsWith("ing")) {
            return true;
        }
        return norm.endsWith("s")
                && !norm.endsWith("ss")
                && isBaseOf(norm)
                && !sentence.at(at).capital();
    }

    private static boolean isBaseOf(String third) {
        String base = third.substring(0, third.length() - 1);
        return isVerb(base)
                || (third.endsWith("es") && isVerb(third.substring(0, third.length() - 2)))
                || (third.endsWith("ies") && isVerb(third.substring(0, third.length() - 3) + "y"));
    }

    private static boolean isVerb(String base) {
        return GIVING.contains(base) || TELLING.contains(base);
    }

    /** "Ann will get back to you", "Ann is dealing with it and will let you know", "she'll send it to you". */
    private static Optional<Set<String>> leftTo(ReadSentence read, People people, Set<String> namedBefore) {
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
                        || LEADING.has(sentence, i - 1);
                subjectEnd = subject ? name.toExclusive() : subjectEnd;
            } else if (PERSON.has(sentence, i) || isUnknownName(sentence, i)) {
                subjectEnd = i + 1;
            }
            boolean will = (subjectEnd >= 0 && i >= subjectEnd && sentence.at(i).is("will", "'ll", "shall"))
                    || SOMEBODY.has(sentence, i);
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
    private static Set<String> lastNamed(Sentence sentence, People people, Set<String> before) {
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
        if (!ANSWERING.has(sentence, verb)) {
            return false;
        }
        for (int i = verb; i < sentence.size(); i++) {
            if (sentence.at(i).is("you", "your", "touch")) {
                return true;
            }
        }
        return false;
    }
}
