package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.reading.DateRoles.Role;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordSet;

/** What the own words do besides asking: thank, confirm, put off, promise, take back. */
final class SpeechActs {

    /** A condition says so early that it is about something that does not happen. */
    private static final int NEAR_IF = 7;

    private static final int LONGEST_BEFORE_THANKS = 8;

    private static final int MOST_BEFORE_THANKS = 4;

    /** How a sentence begins that says why the question before it is asked, not what was done. */
    private static final WordSet REASON_STARTS =
            WordSet.of("i'm", "we're", "there's", "there're", "they're", "mine", "ours", "my", "our");

    private final List<ReadSentence> said;
    private final DateContext context;
    private final People people;

    SpeechActs(List<ReadSentence> sentences, DateContext context, People people) {
        this.said = new ArrayList<>(sentences);
        this.said.removeIf(ReadSentence::isSalutation);
        this.context = context;
        this.people = people;
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

    /** Whether the first thing said thanks or confirms, or thanks stand behind a few words: "That's what I was after. Thanks!" */
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
                    && isFirstPerson(read.sentence(), act)
                    && !read.sentence().at(act.fromInclusive()).quoted();
            if (holding && !isPartOfAnAsk(read, act)) {
                return true;
            }
        }
        return false;
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
        return says("solved");
    }

    boolean says(String label) {
        for (ReadSentence read : said) {
            if (read.has(label)) {
                return true;
            }
        }
        return false;
    }

    /** The first words that take an ask back. */
    Optional<Withdrawal> withdrawal() {
        for (ReadSentence read : said) {
            for (PhraseMatch act : read.acts()) {
                if (act.label().equals("withdraw")
                        && !read.sentence().at(act.fromInclusive()).quoted()
                        && !isInsideQuestion(read, act)) {
                    return Optional.of(withdrawal(read.sentence(), act));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean isInsideQuestion(ReadSentence read, PhraseMatch act) {
        if (!read.sentence().isQuestion()) {
            return false;
        }
        int unit = read.parts().unitOf(act.fromInclusive());
        for (SentenceAsks.FoundAsk ask : read.found()) {
            if (ask.from() <= act.fromInclusive() && read.parts().unitOf(ask.from()) == unit) {
                return true;
            }
        }
        return false;
    }

    private static Withdrawal withdrawal(Sentence sentence, PhraseMatch act) {
        boolean lastOnly = false;
        int end = act.fromInclusive();
        while (end < sentence.size()
                && (end == act.fromInclusive() || !sentence.at(end).followsMark())) {
            String norm = sentence.norm(end);
            lastOnly |= norm.equals("last") || norm.equals("previous");
            end++;
        }
        int about = Math.min(act.wantedAt(), end);
        Span aboutSpan = about < end
                ? sentence.spanOf(about, end)
                : new Span(sentence.span().toExclusive(), sentence.span().toExclusive());
        return new Withdrawal(sentence.spanOf(act.fromInclusive(), end), lastOnly, aboutSpan);
    }

    List<Promise> promises() {
        List<Promise> promises = new ArrayList<>();
        for (ReadSentence read : said) {
            promise(read).ifPresent(promises::add);
        }
        return promises;
    }

    private Optional<Promise> promise(ReadSentence read) {
        Sentence sentence = read.sentence();
        if (sentence.isQuestion()) {
            return Optional.empty();
        }
        for (PhraseMatch act : read.acts()) {
            boolean answer = act.label().equals("holding") && !read.dates().isEmpty();
            if ((!act.label().equals("promise") && !answer)
                    || sentence.at(act.fromInclusive()).quoted()) {
                continue;
            }
            if (isFirstPerson(sentence, act) && !isDenied(read, act) && !isConditional(read, act)) {
                boolean holding = read.hasIn("holding", read.parts().unitOf(act.fromInclusive()));
                return Optional.of(new Promise(
                        sentence.span(),
                        promisedBy(read, act),
                        holding,
                        !read.isToReader() || isToAnother(read, act),
                        !read.spokenTo().areSaid() && !isToAnother(read, act)));
            }
        }
        return Optional.empty();
    }

    /** "Our Mr Ek will be with you" speaks of somebody else; "will be with you" and "I also will" of the writer. */
    private static boolean isFirstPerson(Sentence sentence, PhraseMatch act) {
        int at = act.fromInclusive();
        String norm = sentence.norm(at);
        boolean bare = norm.equals("will") || norm.equals("shall") || norm.equals("'ll") || norm.equals("can");
        if (!bare || sentence.startsClause(at) || sentence.norm(at + 1).equals("follow")) {
            return true;
        }
        String before = sentence.norm(at - 1);
        return before.equals("i")
                || before.equals("we")
                || before.equals("also")
                || before.equals("then")
                || before.equals("just");
    }

    private static boolean isDenied(ReadSentence read, PhraseMatch promise) {
        for (PhraseMatch act : read.acts()) {
            boolean near = act.fromInclusive() >= promise.fromInclusive() - 1
                    && act.fromInclusive() <= promise.fromInclusive() + 1;
            // "I'll see" is none, "I'll see to it" is one.
            if (act.label().equals("no-promise") && near && act.toExclusive() >= promise.toExclusive()) {
                return true;
            }
        }
        Sentence sentence = read.sentence();
        for (int i = promise.fromInclusive(); i < Math.min(sentence.size(), promise.toExclusive() + 1); i++) {
            if (sentence.norm(i).equals("not") || sentence.norm(i).equals("never")) {
                return true;
            }
        }
        String before = sentence.norm(promise.fromInclusive() - 1);
        return before.equals("if")
                || before.equals("hope")
                || before.equals("that")
                || before.equals("what")
                || before.equals("think");
    }

    /** "I'll order it once you confirm" waits for somebody else and is no promise yet. */
    private static boolean isConditional(ReadSentence read, PhraseMatch promise) {
        Sentence sentence = read.sentence();
        if (threatens(sentence)) {
            return true;
        }
        for (int i = 0; i < sentence.size() - 1; i++) {
            String norm = sentence.norm(i);
            boolean condition = norm.equals("if")
                    || norm.equals("once")
                    || norm.equals("unless")
                    || norm.equals("until")
                    || norm.equals("when")
                    || (norm.equals("as") && sentence.norm(i + 1).equals("soon"));
            int you = norm.equals("as") ? i + 3 : i + 1;
            if (condition
                    && (sentence.norm(you).startsWith("you")
                            && !sentence.norm(you + 1).equals("like")
                            && !sentence.norm(you + 1).equals("want"))) {
                return read.parts().unitOf(i) == read.parts().unitOf(promise.fromInclusive());
            }
        }
        return false;
    }

    /** "If it isn't paid by then, we'll have to charge interest." */
    private static boolean threatens(Sentence sentence) {
        for (int i = 0; i < sentence.size() - 1; i++) {
            // "We need them by noon, otherwise we'll go with 40."
            // "All good otherwise, I'll send it" goes on behind a mark.
            boolean orElse = sentence.at(i).is("otherwise")
                    || (sentence.at(i).is("else") && sentence.norm(i - 1).equals("or"));
            if (orElse
                    && i > 0
                    && !sentence.at(i + 1).followsMark()
                    && sentence.at(i + 1).is("i'll", "we'll", "i", "we")) {
                return true;
            }
            if (sentence.at(i).is("unless") && !sentence.norm(i + 1).equals("i")) {
                return true;
            }
            if (sentence.at(i).is("if")
                    && !sentence.at(i + 1).is("i", "i'm", "we", "we're", "not", "that's", "possible")) {
                for (int j = i + 1; j < Math.min(i + NEAR_IF, sentence.size()); j++) {
                    if (sentence.norm(j).endsWith("n't") || sentence.at(j).is("not", "no", "nothing", "nobody")) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    private Optional<Deadline> promisedBy(ReadSentence read, PhraseMatch promise) {
        DateRoles roles = new DateRoles(read.sentence(), read.parts(), read.acts(), context);
        int unit = read.parts().unitOf(promise.fromInclusive());
        Optional<Deadline> found = Optional.empty();
        for (DatePhrase phrase : read.dates()) {
            Dated dated = roles.roleOf(phrase, read.dates().size(), true);
            boolean ahead = !phrase.end().isBefore(context.sentAt());
            if (dated.role() != Role.MENTION
                    && ahead
                    && (found.isEmpty() || read.parts().unitOf(phrase.fromInclusive()) == unit)) {
                found = Optional.of(Deadlines.deadline(read.sentence(), dated, false));
            }
        }
        return found;
    }

    /** "I'll send it to Tom": somebody else than those written to gets it. */
    private boolean isToAnother(ReadSentence read, PhraseMatch promise) {
        Sentence sentence = read.sentence();
        for (int i = promise.toExclusive() - 1; i < sentence.size(); i++) {
            String norm = sentence.norm(i);
            if (norm.equals("you") || norm.equals("your")) {
                return false;
            }
            boolean to = norm.equals("to") || Phrases.GIVING.has(sentence, i);
            if (to && i + 1 < sentence.size()) {
                People.FoundName somebody = people.at(sentence, i + 1);
                if (somebody.isSomebody() && !people.isMe(somebody.addresses())) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether besides greetings, thanks, an introduction, promises and reasons there are only questions. */
    boolean onlyAsksBack() {
        boolean asked = false;
        for (ReadSentence read : said) {
            boolean question = asks(read, Ask.Kind.QUESTION)
                    || (read.sentence().isQuestion() && !read.found().isEmpty());
            if (question && isAboutWhatWasSent(read.sentence())) {
                return false;
            }
            if (question && !startsWithAnswer(read)) {
                asked = true;
                continue;
            }
            boolean aside = read.consistsOf("thanks", "willing")
                    || read.has("introduction")
                    || read.has("reason")
                    || (promise(read).isPresent() && read.found().isEmpty())
                    || (asked && isReasonBehind(read))
                    || isGreetingOnly(read);
            // "I'd need the date for that. When would you like to begin?"
            boolean clarify = asks(read, Ask.Kind.NEED) || (asks(read, Ask.Kind.REQUEST) && clarifies(read.sentence()));
            if (clarify) {
                asked = true;
            } else if (!aside) {
                return false;
            }
        }
        return asked;
    }

    private static boolean asks(ReadSentence read, Ask.Kind kind) {
        for (SentenceAsks.FoundAsk ask : read.found()) {
            if (ask.kind() == kind) {
                return true;
            }
        }
        return false;
    }

    /** "Did you get it?", "Have you seen my answer?": the writer has done what was asked. */
    private static boolean isAboutWhatWasSent(Sentence sentence) {
        for (int i = 0; i < sentence.size() - 2; i++) {
            if (sentence.at(i).is("did", "have", "has")
                    && sentence.at(i + 1).is("you", "it", "they")
                    && sentence.at(i + 2).is("get", "got", "receive", "received", "arrive", "arrived", "seen", "see")) {
                return true;
            }
        }
        return false;
    }

    /** "Which Tuesdays? I'm away for two of them." */
    private static boolean isReasonBehind(ReadSentence read) {
        return REASON_STARTS.has(read.sentence(), 0)
                && !read.has("confirm")
                && !read.has("solved")
                && !read.has("promise")
                && !read.has("holding");
    }

    private static boolean isGreetingOnly(ReadSentence read) {
        return read.sentence().size() <= 7
                && (read.sentence().norm(0).equals("hope")
                        || read.sentence().norm(1).equals("hope"));
    }

    private static boolean clarifies(Sentence sentence) {
        for (int i = 0; i < sentence.size(); i++) {
            String norm = sentence.norm(i);
            if (norm.equals("clarify")
                    || norm.equals("which")
                    || norm.equals("whether")
                    || norm.equals("mean")
                    || norm.equals("specify")) {
                return true;
            }
        }
        return false;
    }

    private boolean saysYesOrNo() {
        for (ReadSentence read : said) {
            if (saysYesOrNo(read.sentence())) {
                return true;
            }
        }
        return false;
    }

    private static boolean saysYesOrNo(Sentence sentence) {
        return switch (sentence.norm(0)) {
            case "yes", "no", "yep", "yeah", "sure", "nope" -> true;
            default -> false;
        };
    }

    private static boolean startsWithAnswer(ReadSentence read) {
        // "Sure, by when?" is willing, and asks back.
        return saysYesOrNo(read.sentence())
                && !read.sentence().norm(0).equals("sure")
                && !Clauses.isConjunction(read.sentence(), 1);
    }
}
