package org.squallnote.core.reading;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordClass;

/**
 * How a writer takes up something that was asked before. What it means depends on the ask: "sure" to a request is a
 * promise, to a question an answer.
 *
 * @param agrees whether it only says yes, willingly ("Sure", "With pleasure")
 * @param plans whether it says what happens at a time to come, in the present ("the post takes it along on Monday"), or
 *     names nothing but a time ("in an hour")
 * @param by that time, where it is a day or a moment
 * @param fulfils whether it says that something is done or handed over ("attached", "I have one")
 * @param denies whether it says that the writer has or knows nothing of it ("not me")
 * @param proposes whether all that it asks is whether something else would do ("how about Thursday?")
 * @param arrived whether it says that something has come
 * @param opensWithYes whether it says yes before anything else, and besides asks at most
 * @param overtaken whether it says that what was asked for is there already or has fallen away
 * @param thingThere the sentence that says that some thing is there: "got the list from Nell"
 * @param leavesIt whether it says that somebody else will answer ("Ann will get back to you")
 * @param handsTo their addresses, where they are known
 */
public record TakingUp(
        boolean agrees,
        boolean plans,
        Optional<LocalDateTime> by,
        boolean fulfils,
        boolean denies,
        boolean proposes,
        boolean arrived,
        boolean opensWithYes,
        boolean overtaken,
        Optional<Span> thingThere,
        boolean leavesIt,
        Set<String> handsTo) {

    /** Takes up nothing. */
    public static final TakingUp NOTHING = new TakingUp(
            false,
            false,
            Optional.empty(),
            false,
            false,
            false,
            false,
            false,
            false,
            Optional.empty(),
            false,
            Set.of());

    /** A message of more sentences takes up more than can be told. */
    private static final int LONGEST = 6;

    /** Who hands something on says so early: names are looked for in so many sentences. */
    private static final int MOST_LOOKED_AT = 12;

    /** Copies the addresses. */
    public TakingUp {
        handsTo = Set.copyOf(handsTo);
    }

    static TakingUp in(List<ReadSentence> said, DateContext context, People people) {
        boolean agrees = said.stream().anyMatch(TakingUp::isAgreement);
        boolean plans = false;
        boolean fulfils = false;
        boolean denies = false;
        boolean proposes = said.stream().anyMatch(read -> read.sentence().isQuestion());
        boolean arrived = false;
        // A long letter tells much that ends nothing.
        List<ReadSentence> brief = said.size() <= LONGEST ? said : List.of();
        boolean leavesIt = false;
        boolean left = false;
        Set<String> named = Set.of();
        int looked = 0;
        Optional<LocalDateTime> by = Optional.empty();
        Set<String> handsTo = Set.of();
        for (ReadSentence read : said) {
            if (read.isSalutation()) {
                continue;
            }
            agrees &= read.asks().isEmpty() && (isAgreement(read) || isThanksForAMessage(read) || isWish(read));
            fulfils |= fulfils(read);
            left |= fulfils && isLeftToDo(read);
            denies |= read.has("denies");
            arrived |= !read.sentence().isQuestion() && read.has("arrived");
            proposes &= !read.sentence().isQuestion()
                    || read.has("proposes")
                    || QuestionShapes.areMissingIn(read.sentence());
            if (looked++ < MOST_LOOKED_AT) {
                Optional<Set<String>> others = HandingOn.leftTo(read, people, named);
                named = HandingOn.lastNamed(read.sentence(), people, named);
                leavesIt |= others.isPresent();
                handsTo = others.filter(some -> !some.isEmpty()).orElse(handsTo);
            }
            if (said.size() <= LONGEST && Plans.isOne(read, context)) {
                plans = true;
                by = by.or(() -> Plans.lastAhead(read, context));
            }
        }
        boolean onlySalutations = said.stream().allMatch(ReadSentence::isSalutation);
        return new TakingUp(
                agrees && !onlySalutations,
                plans && (!fulfils || left),
                by,
                fulfils && !left,
                denies && !fulfils,
                proposes,
                arrived,
                opensWithYes(said),
                brief.stream().anyMatch(Overtaken::isSaid)
                        || brief.stream()
                                .filter(read -> !read.isSalutation())
                                .limit(1)
                                .anyMatch(Overtaken::saysThatItCame),
                brief.stream()
                        .filter(Overtaken::saysThatAThingIsThere)
                        .map(read -> read.sentence().span())
                        .findFirst(),
                leavesIt && !fulfils,
                handsTo);
    }

    /**
     * "I have one too"; "could I have one too?" hands nothing over, "it's in the works" is not where it is, and "once Gus has
     * signed" has still to come.
     */
    static boolean fulfils(ReadSentence read) {
        return !read.sentence().isQuestion()
                && read.hasBeside("fulfils", Plans.LABELS)
                && !Plans.isOnlyACondition(read);
    }

    /** "I've printed it, now I need to catch Rhona for her signature"; "the contract is attached. The bill is being prepared." */
    private static boolean isLeftToDo(ReadSentence read) {
        int done = -1;
        int toDo = -1;
        boolean rest = false;
        for (PhraseMatch act : read.acts()) {
            if (act.label().equals("fulfils")) {
                done = Math.max(done, act.fromInclusive());
            } else if (act.label().equals("to-do")) {
                toDo = act.fromInclusive();
            } else if (act.label().equals("plans")) {
                // "It's being delivered" tells of what was done, "the bill is being prepared" of something else.
                rest |= !WordClass.PRONOUN_SUBJECT.has(read.sentence(), 0);
            }
        }
        return toDo > done || (rest && done < 0);
    }

    /** Whatever is said besides asks or agrees: "Sure, it's 4471. Does it work?" has given what was asked. */
    private static boolean opensWithYes(List<ReadSentence> said) {
        List<ReadSentence> more =
                said.stream().filter(read -> !read.isSalutation()).toList();
        return !more.isEmpty()
                && ((more.get(0).asks().isEmpty() && isAgreement(more.get(0))) || isYesBeforeMore(more.get(0)))
                && more.stream().allMatch(read -> !read.asks().isEmpty() || isKindWord(read));
    }

    private static boolean isKindWord(ReadSentence read) {
        return read.consistsOf("willing", "agrees", "confirm", "thanks", "praise", "wishes");
    }

    /** "Of course. Get well soon!" */
    private static boolean isWish(ReadSentence read) {
        return read.consistsOf("wishes", "thanks", "praise");
    }

    /** "Sure, send me the agenda", "yes, please send it to me". */
    private static boolean isYesBeforeMore(ReadSentence read) {
        Sentence sentence = read.sentence();
        if (sentence.isQuestion() || sentence.size() < 2) {
            return false;
        }
        boolean yes = WordClass.PLAIN_YES.has(sentence, 0) && sentence.at(1).followsMark();
        return yes
                || read.acts().stream()
                        .anyMatch(act -> act.fromInclusive() == 0
                                && (act.label().equals("willing") || act.label().equals("agrees"))
                                && act.toExclusive() < sentence.size()
                                && isMarkWithinOrBehind(sentence, act));
    }

    private static boolean isMarkWithinOrBehind(Sentence sentence, PhraseMatch act) {
        return IntStream.rangeClosed(1, act.toExclusive())
                .anyMatch(i -> sentence.at(i).followsMark());
    }

    /** "Thanks for your mail." */
    private static boolean isThanksForAMessage(ReadSentence read) {
        return read.has("thanks") && WordClass.MESSAGE.hasAnyOf(read.sentence());
    }

    private static boolean isAgreement(ReadSentence read) {
        return (read.has("willing") || read.has("agrees")) && isKindWord(read);
    }
}
