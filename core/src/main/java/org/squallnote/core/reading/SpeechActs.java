package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

/** What the own words do besides asking: thank, confirm, put off, promise, take back. */
final class SpeechActs {

    private static final int LONGEST_BEFORE_THANKS = 8;

    private static final int MOST_BEFORE_THANKS = 4;

    private final List<ReadSentence> said;
    private final Promises promises;

    SpeechActs(List<ReadSentence> sentences, DateContext context, People people) {
        this.said = new ArrayList<>(sentences);
        this.said.removeIf(ReadSentence::isSalutation);
        this.promises = new Promises(context, people);
    }

    boolean acknowledges() {
        return isAll("thanks", "confirm", "praise");
    }

    boolean onlyThanks() {
        // "Yes, perfect, thanks" answers what was asked.
        return isAll("thanks", "praise") && says("thanks") && !saysYesOrNo();
    }

    private boolean isAll(String... labels) {
        for (ReadSentence read : said) {
            if (!read.asks().isEmpty() || !read.consistsOf(labels) || isHolding(read)) {
                return false;
            }
        }
        return !said.isEmpty() && promises().isEmpty();
    }

    /** Whether it thanks or confirms first, or behind a few words: "That's what I was after. Thanks!" */
    boolean opensWithThanks() {
        if (said.isEmpty()) {
            return false;
        }
        ReadSentence first = said.get(0);
        ReadSentence last = said.get(said.size() - 1);
        if (said.size() <= MOST_BEFORE_THANKS
                && isShortThanks(last)
                && said.stream()
                        .allMatch(
                                read -> read.asks().isEmpty() && read.sentence().size() <= LONGEST_BEFORE_THANKS)) {
            return true;
        }
        return first.has("thanks") || first.has("praise") || first.consistsOf("confirm");
    }

    private static boolean isShortThanks(ReadSentence read) {
        return read.has("thanks") && read.asks().isEmpty() && read.sentence().size() <= LONGEST_BEFORE_THANKS;
    }

    boolean holds() {
        for (ReadSentence read : said) {
            if (isHolding(read)) {
                return true;
            }
        }
        return false;
    }

    private boolean isHolding(ReadSentence read) {
        for (PhraseMatch act : read.acts()) {
            boolean holding = act.label().equals("holding")
                    && Promises.isFirstPerson(read.sentence(), act)
                    && !read.sentence().at(act.fromInclusive()).quoted();
            if (holding
                    && !isPartOfAnAsk(read, act)
                    && !isAskedOfTheReader(read.sentence(), act)
                    && !isGivenAllTheSame(read, act)) {
                return true;
            }
        }
        return false;
    }

    /** "Have you not got it yet?" */
    private static boolean isAskedOfTheReader(Sentence sentence, PhraseMatch act) {
        for (int i = 0; sentence.isQuestion() && i < act.fromInclusive(); i++) {
            if (sentence.norm(i).equals("you")) {
                return true;
            }
        }
        return false;
    }

    /** "Bo is still collecting them, but here's what we have." */
    private static boolean isGivenAllTheSame(ReadSentence read, PhraseMatch holding) {
        Sentence sentence = read.sentence();
        return IntStream.range(holding.toExclusive(), sentence.size())
                .filter(i -> WordClass.BUT.has(sentence, i))
                .anyMatch(but -> read.acts().stream()
                        .anyMatch(act -> act.label().equals("fulfils") && act.fromInclusive() > but));
    }

    private static boolean isPartOfAnAsk(ReadSentence read, PhraseMatch act) {
        int clause = read.parts().clauseOf(act.fromInclusive());
        for (SentenceAsks.FoundAsk ask : read.found()) {
            if (ask.kind() != Ask.Kind.QUESTION
                    && ask.from() <= act.fromInclusive()
                    && read.parts().clauseOf(ask.from()) == clause) {
                return true;
            }
        }
        return false;
    }

    boolean solves() {
        // "Half of it is done."
        return said.stream().anyMatch(read -> read.hasBeside("solved", Plans.LABELS));
    }

    boolean says(String label) {
        for (ReadSentence read : said) {
            if (read.has(label)) {
                return true;
            }
        }
        return false;
    }

    List<Promise> promises() {
        return promises.in(said);
    }

    Optional<Promise> inReturn() {
        return promises.inReturn(said);
    }

    Optional<Withdrawal> withdrawal() {
        return Withdrawals.first(said);
    }

    /** Whether besides greetings, thanks, an introduction, promises and reasons there are only questions. */
    boolean onlyAsksBack() {
        // "Can I have until Thursday? The children are ill."
        return new QuestionsBack(promises).areAll(said)
                || (says("postpones") && said.stream().noneMatch(TakingUp::fulfils));
    }

    private boolean saysYesOrNo() {
        for (ReadSentence read : said) {
            if (saysYesOrNo(read.sentence())) {
                return true;
            }
        }
        return false;
    }

    static boolean saysYesOrNo(Sentence sentence) {
        return switch (sentence.norm(0)) {
            case "yes", "no", "yep", "yeah", "sure", "nope" -> true;
            default -> false;
        };
    }
}
