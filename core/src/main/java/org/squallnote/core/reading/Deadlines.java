package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DateScanner;
import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.reading.DateRoles.Role;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordSet;

/**
 * Finds the explicit deadline of the asks that pass a test (those meant for me, or those of somebody whom I ask): in their
 * own sentences, else in one that says what its date is for, else in the subject.
 */
final class Deadlines {

    /** A fragment such as "By Friday if possible." has at most this many words. */
    private static final int LONGEST_FRAGMENT = 9;

    private static final WordSet LIMITS = WordSet.of("by", "before", "until", "till");

    private static final WordSet STARTS =
            WordSet.of("starts", "begins", "opens", "closes", "ends", "leaves", "sails", "expires", "happens");
    /** What is said behind "the" or "this" of a date named before. */
    private static final WordSet SAME = WordSet.of("same", "date", "deadline");

    private static final WordSet BEFORE_A_BARE_DATE = WordSet.of(
            "on",
            "by",
            "ideally",
            "preferably",
            "at",
            "the",
            "if",
            "possible",
            "latest",
            "rush",
            "some",
            "time",
            "sometime",
            "all",
            "hurry",
            "urgent",
            "not",
            "before",
            "within",
            "say",
            "hopefully",
            "any",
            "anytime",
            "panic",
            "stress",
            "pressure",
            "worries",
            "towards",
            "toward",
            "nearer",
            "around",
            "about",
            "until",
            "you",
            "can",
            "could",
            "for",
            "no",
            "later",
            "than");

    private final List<ReadSentence> sentences;
    private final DateContext context;
    private final Predicate<Ask> wanted;
    /** For each sentence whether it holds an ask that is wanted. */
    private final boolean[] asking;

    Deadlines(List<ReadSentence> sentences, DateContext context, Predicate<Ask> wanted) {
        this.sentences = sentences;
        this.context = context;
        this.wanted = wanted;
        this.asking = new boolean[sentences.size()];
        for (int i = 0; i < asking.length; i++) {
            asking[i] = hasWanted(sentences.get(i));
        }
    }

    /** The deadline that counts: a firm one before a softened one, then the earliest that is still ahead. */
    Optional<Deadline> explicit(String subject) {
        List<Deadline> inAsks = new ArrayList<>();
        List<Deadline> elsewhere = new ArrayList<>();
        boolean asked = false;
        for (int i = 0; i < sentences.size(); i++) {
            ReadSentence read = sentences.get(i);
            boolean mine = asking[i];
            if (mine) {
                inAsks.addAll(ofAskSentence(read));
            } else if (!read.dates().isEmpty() && read.asks().isEmpty() && !isForSomebodyElse(read)) {
                boolean next = i + 1 < sentences.size() && asking[i + 1];
                boolean before = next && (read.has("soft") || isWhatItIsNeededFor(read));
                elsewhere.addAll(ofOtherSentence(read, asked || before));
            }
            asked = mine || (asked && read.asks().isEmpty());
        }
        if (inAsks.isEmpty()) {
            inAsks.addAll(byThen());
        }
        Optional<Deadline> found = best(inAsks);
        if (found.isEmpty() || !found.get().firm()) {
            List<Deadline> all = new ArrayList<>(inAsks);
            all.addAll(elsewhere);
            found = best(all);
        }
        return found.isPresent() ? found : best(ofSubject(subject));
    }

    /** Dates on which something takes place, named together with an ask. */
    List<Deadline> events() {
        List<Deadline> events = new ArrayList<>();
        for (int i = 0; i < asking.length; i++) {
            ReadSentence read = sentences.get(i);
            if (asking[i]) {
                for (Dated dated : datesOf(read)) {
                    if (dated.role() == Role.EVENT && isAhead(dated.phrase())) {
                        events.add(deadline(read.sentence(), dated, false));
                    }
                }
            }
        }
        return events;
    }

    /** "Please confirm by then", "by the same date": the last date before it. */
    private List<Deadline> byThen() {
        List<Deadline> found = new ArrayList<>();
        Optional<Deadline> last = Optional.empty();
        for (int s = 0; s < asking.length; s++) {
            ReadSentence read = sentences.get(s);
            Sentence sentence = read.sentence();
            for (int i = 0; i < sentence.size() && asking[s]; i++) {
                boolean ahead = sentence.norm(i).equals("ahead")
                        && sentence.norm(i + 1).equals("of")
                        && saysThen(sentence, i + 2);
                if (!ahead && (!LIMITS.has(sentence, i) || !saysThen(sentence, i + 1))) {
                    continue;
                }
                Optional<Deadline> here = lastBefore(read, i);
                Optional<Deadline> named = here.isPresent() ? here : last;
                if (named.isPresent()) {
                    Deadline then = ahead || sentence.norm(i).equals("before") ? dayBefore(named.get()) : named.get();
                    found.add(read.has("soft") ? then.softened() : then);
                }
            }
            Optional<Deadline> here = lastBefore(read, sentence.size());
            last = here.isPresent() ? here : last;
        }
        return found;
    }

    /** "by then", "before that", "before it starts", "by the same date". */
    private static boolean saysThen(Sentence sentence, int at) {
        return switch (sentence.norm(at)) {
            case "then", "that" -> true;
            case "it" -> STARTS.has(sentence, at + 1);
            case "the", "this" -> SAME.has(sentence, at + 1);
            default -> false;
        };
    }

    /** The last date of a sentence that begins before a word and is still ahead. */
    private Optional<Deadline> lastBefore(ReadSentence read, int word) {
        Optional<Deadline> last = Optional.empty();
        for (DatePhrase phrase : read.dates()) {
            if (phrase.fromInclusive() < word && isAhead(phrase)) {
                last = Optional.of(
                        deadline(read.sentence(), new Dated(phrase, Role.STATED, phrase.fromInclusive(), true), false));
            }
        }
        return last;
    }

    private Deadline dayBefore(Deadline named) {
        return named.time().isPresent()
                ? named
                : new Deadline(
                        context.workingTime().onOrBefore(named.day().minusDays(1)),
                        named.time(),
                        named.firm(),
                        named.words(),
                        named.inSubject());
    }

    private boolean isForSomebodyElse(ReadSentence read) {
        // A promise of the writer, or a word to somebody who is not asked here.
        Set<String> spokenTo = read.spokenTo().addresses();
        if (spokenTo.isEmpty() || (spokenTo.size() > 1 && read.isToReader())) {
            return false;
        }
        for (int i = 0; i < asking.length; i++) {
            if (asking[i] && sentences.get(i).spokenTo().equals(read.spokenTo())) {
                return false;
            }
        }
        return true;
    }

    private boolean hasWanted(ReadSentence read) {
        for (Ask ask : read.asks()) {
            if (wanted.test(ask)) {
                return true;
            }
        }
        return false;
    }

    private Optional<Deadline> best(List<Deadline> candidates) {
        Optional<Deadline> best = Optional.empty();
        for (Deadline one : candidates) {
            boolean ahead = !one.end().isBefore(context.sentAt());
            if (ahead && (best.isEmpty() || isBetter(one, best.get()))) {
                best = Optional.of(one);
            }
        }
        return best;
    }

    private static boolean isBetter(Deadline one, Deadline other) {
        return one.firm() == other.firm() ? one.end().isBefore(other.end()) : one.firm();
    }

    private boolean isAhead(DatePhrase phrase) {
        return !phrase.end().isBefore(context.sentAt());
    }

    private List<Dated> datesOf(ReadSentence read) {
        if (read.dates().isEmpty()) {
            return List.of();
        }
        DateRoles roles = new DateRoles(read.sentence(), read.parts(), read.acts(), context);
        List<Dated> dated = new ArrayList<>();
        for (DatePhrase phrase : read.dates()) {
            if (!read.sentence().at(phrase.fromInclusive()).quoted()) {
                dated.add(roles.roleOf(phrase, read.dates().size(), needs(read, phrase)));
            }
        }
        return dated;
    }

    /** Whether the ask before the date is one of having something: "I need it", "we'd like the list". */
    private static boolean needs(ReadSentence read, DatePhrase phrase) {
        if (read.sentence().isQuestion() && !read.sentence().hasWord("you", "your", "from")) {
            // "How many chairs do we need on Saturday?"
            return false;
        }
        for (SentenceAsks.Found ask : read.found()) {
            boolean having = ask.kind() == Ask.Kind.NEED || ask.kind() == Ask.Kind.WISH;
            if (having && ask.from() < phrase.fromInclusive()) {
                return true;
            }
        }
        return false;
    }

    private List<Deadline> ofAskSentence(ReadSentence read) {
        List<Deadline> found = new ArrayList<>();
        for (Dated dated : datesOf(read)) {
            if (belongsToWanted(read, dated) && counts(read, dated)) {
                found.add(deadline(read.sentence(), dated, false));
            }
        }
        return found;
    }

    private static boolean counts(ReadSentence read, Dated dated) {
        return dated.role() == Role.TIED || (dated.role() == Role.STATED && !isPlanOfWriter(read, dated));
    }

    /** A date goes with the ask that begins last before it; before any ask, with the first. */
    private boolean belongsToWanted(ReadSentence read, Dated dated) {
        Optional<Ask> owner = Optional.empty();
        int at = read.sentence().at(dated.phrase().fromInclusive()).span().fromInclusive();
        for (Ask ask : read.asks()) {
            if (owner.isEmpty() || ask.words().fromInclusive() <= at) {
                owner = Optional.of(ask);
            }
        }
        return owner.filter(wanted).isPresent();
    }

    /** "I have to leave by 3", "we'll be done by Friday": the writer's own day, unless they need something by then. */
    private static boolean isPlanOfWriter(ReadSentence read, Dated dated) {
        int at = dated.lead();
        int unit = read.parts().unitOf(at);
        for (SentenceAsks.Found ask : read.found()) {
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
            having |= norm.equals("need")
                    || norm.equals("have")
                    || norm.equals("get")
                    || norm.equals("receive")
                    || norm.equals("want")
                    || norm.equals("wants")
                    || norm.equals("like")
                    || norm.equals("needs")
                    || norm.equals("see");
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
            if (ask.words().fromInclusive()
                    >= read.sentence().at(next).span().fromInclusive()) {
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

    /** A sentence without an ask counts when it says what its date is for, or is only a date after an ask. */
    private List<Deadline> ofOtherSentence(ReadSentence read, boolean afterAsk) {
        List<Deadline> found = new ArrayList<>();
        for (Dated dated : datesOf(read)) {
            boolean fragment = afterAsk && isFragment(read, dated);
            boolean says = (dated.role() == Role.STATED
                            && (saysWhatFor(read, dated) || (afterAsk && isWhenItShouldBe(read, dated)))
                            && (read.has("closing") || !isPlanOfWriter(read, dated)))
                    || isNeededThen(read, dated)
                    || (afterAsk
                            && (isDay(dated) || isAtThatTime(read, dated))
                            && (isWhatItIsNeededFor(read) || isWishedFor(read, dated)));
            if (dated.role() != Role.MENTION && (fragment || says)) {
                found.add(deadline(read.sentence(), dated, false));
            }
        }
        return found;
    }

    /** "The bank needs the form back on Monday": somebody waits for a thing. */
    private static boolean isNeededThen(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        for (int i = read.parts().firstOfUnit(read.parts().unitOf(dated.lead())); i < dated.lead() - 1; i++) {
            boolean needs = sentence.at(i).is("needs", "wants", "expects", "requires");
            boolean need = sentence.at(i).is("need", "want", "expect", "require") && isSomebodyElse(sentence, i - 1);
            boolean asks = sentence.at(i).is("ask", "asks", "asking")
                    && sentence.norm(i + 1).equals("for")
                    && isSomebodyElse(sentence, i - 1);
            if (asks) {
                return true;
            }
            boolean must = sentence.norm(i).equals("must")
                    && sentence.at(i + 1).is("have", "get", "see", "receive", "know")
                    && isSomebodyElse(sentence, i - 1);
            boolean toHave = sentence.norm(i + 1).equals("to")
                    && sentence.at(i + 2).is("know", "have", "hear", "get", "see", "receive");
            if (must || ((needs || need) && (toHave || !sentence.norm(i + 1).equals("to")))) {
                return true;
            }
        }
        return false;
    }

    /** Whether the word before a verb speaks of others: "they", "the bank would", "the hall people". */
    private static boolean isSomebodyElse(Sentence sentence, int at) {
        if (at < 0) {
            return false;
        }
        int subject = sentence.at(at).is("would", "will", "also", "still", "are", "is") ? at - 1 : at;
        return subject >= 0
                && !sentence.at(subject)
                        .is(
                                "i", "we", "you", "to", "not", "don't", "doesn't", "no", "nobody", "if", "and", "or",
                                "i'd", "we'd", "you'd");
    }

    /** "I have to tell him at lunch tomorrow". */
    private static boolean isAtThatTime(ReadSentence read, Dated dated) {
        return dated.phrase().time().isPresent()
                && read.sentence().norm(dated.phrase().fromInclusive() - 1).equals("at");
    }

    private static boolean isDay(Dated dated) {
        return dated.role() == Role.STATED || dated.role() == Role.TIED;
    }

    /**
     * "I have to tell them by Friday", "I promised the council an answer by Friday" beside an ask: what was asked has to be
     * there by then.
     */
    private static boolean isWhatItIsNeededFor(ReadSentence read) {
        Sentence sentence = read.sentence();
        for (int i = 0; i < sentence.size() - 1; i++) {
            boolean writer = sentence.norm(i).equals("i") || sentence.norm(i).equals("we");
            boolean must = sentence.at(i + 1).is("have", "need", "must");
            int verb = sentence.norm(i + 1).equals("must") ? i + 2 : i + 3;
            boolean gives = must && Phrases.GIVING.has(sentence, verb);
            boolean perfect =
                    sentence.norm(i + 1).equals("have") && sentence.norm(i + 2).equals("promised");
            boolean promised = perfect
                    || sentence.at(i + 1).is("promised", "owe")
                    || (sentence.at(i + 1).is("told", "said", "assured") && isOfTheFuture(sentence, i + 2));
            if (writer && (gives || promised)) {
                return true;
            }
            if (sentence.norm(i).equals("i've") && sentence.norm(i + 1).equals("promised")) {
                return true;
            }
        }
        return false;
    }

    /** "I'd like to have all of it a week from today", behind an ask. */
    private static boolean isWishedFor(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        for (int i = 1; i < dated.lead(); i++) {
            if (sentence.at(i - 1).is("they'd", "he'd", "she'd")
                    && sentence.at(i).is("have", "get", "see", "receive")) {
                return true;
            }
            boolean writer = sentence.at(i - 1).is("i'd", "we'd", "i", "we", "would");
            if (writer
                    && sentence.at(i).is("like", "want", "need")
                    && sentence.norm(i + 1).equals("to")) {
                return sentence.at(i + 2).is("have", "get", "see", "receive");
            }
        }
        return false;
    }

    /** "I told him he'd have it": what was said is still to come. */
    private static boolean isOfTheFuture(Sentence sentence, int from) {
        for (int i = from; i < Math.min(sentence.size(), from + 5); i++) {
            if (sentence.norm(i).endsWith("'d")
                    || sentence.norm(i).endsWith("'ll")
                    || sentence.at(i).is("would", "will")) {
                return true;
            }
        }
        return false;
    }

    /** "It should be here by Friday", behind an ask. */
    private static boolean isWhenItShouldBe(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        int unit = read.parts().unitOf(dated.phrase().fromInclusive());
        for (int i = read.parts().firstOfUnit(unit) + 1; i < dated.lead(); i++) {
            if (sentence.norm(i).equals("should")
                    && sentence.at(i - 1).is("it", "this", "that", "they", "everything", "all")) {
                return sentence.at(i + 1).is("be", "reach", "get", "arrive");
            }
        }
        return false;
    }

    private static boolean saysWhatFor(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        int unit = read.parts().unitOf(dated.phrase().fromInclusive());
        if (read.has("closing") || sentence.norm(dated.lead() - 1).equals("say")) {
            return true;
        }
        for (int i = read.parts().firstOfUnit(unit); i < read.parts().endOfUnit(unit); i++) {
            switch (sentence.norm(i)) {
                case "deadline",
                        "due",
                        "cut-off",
                        "cutoff",
                        "need",
                        "needs",
                        "needed",
                        "want",
                        "wants",
                        "wanted",
                        "expects",
                        "required",
                        "requires",
                        "must",
                        "latest",
                        "deadline's",
                        "payable",
                        "closes",
                        "close",
                        "closing",
                        "wait",
                        "like",
                        "likes" -> {
                    return !(sentence.norm(i).equals("need")
                            && sentence.norm(i + 1).equals("to"));
                }
                case "expected", "expect" -> {
                    if (!sentence.norm(i - 1).equals("not")) {
                        return true;
                    }
                }
                case "has", "have" -> {
                    boolean thing = i > 0
                            && !sentence.norm(i - 1).equals("i")
                            && !sentence.norm(i - 1).equals("we")
                            && !sentence.norm(i - 1).equals("they");
                    boolean untilThen = sentence.norm(dated.lead()).startsWith("until")
                            || sentence.norm(dated.lead()).startsWith("till");
                    if ((thing && sentence.norm(i + 1).equals("to"))
                            || (untilThen && !sentence.norm(i - 1).equals("they"))) {
                        return true;
                    }
                }
                case "asked" -> {
                    if (sentence.norm(i + 1).equals("to") && Phrases.GIVING.has(sentence, i + 2)) {
                        return true;
                    }
                }
                case "late" -> {
                    if (sentence.norm(i - 1).equals("too")) {
                        return true;
                    }
                }
                case "no", "not" -> {
                    if (sentence.norm(i + 1).equals("later")) {
                        return true;
                    }
                }
                default -> {}
            }
        }
        return false;
    }

    /** "By Friday if possible.", "Today would be great." */
    private static boolean isFragment(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        if (dated.lead() > LONGEST_FRAGMENT || read.has("promise") || read.has("holding")) {
            return false;
        }
        for (int i = 0; i < dated.lead(); i++) {
            if (!BEFORE_A_BARE_DATE.has(sentence, i) && !org.squallnote.core.text.Clauses.isLeadIn(sentence, i)) {
                return false;
            }
        }
        int to = dated.phrase().toExclusive();
        if (to >= sentence.size() || sentence.at(to).followsMark()) {
            return true;
        }
        return switch (sentence.norm(to)) {
            case "is", "would", "will", "works", "please", "latest", "if", "at", "suits", "or" -> true;
            default -> false;
        };
    }

    private List<Deadline> ofSubject(String subject) {
        List<Deadline> found = new ArrayList<>();
        for (Sentence sentence : SentenceSplitter.split(subject)) {
            List<DatePhrase> dates = DateScanner.in(sentence, context);
            if (dates.isEmpty()) {
                continue;
            }
            DateRoles roles = new DateRoles(sentence, new Parts(sentence), Phrases.BOOK.in(sentence), context);
            for (DatePhrase phrase : dates) {
                Dated dated = roles.roleOf(phrase, dates.size(), false);
                boolean end = phrase.form() == DatePhrase.Form.END;
                if (dated.role() == Role.STATED || (end && dated.role() == Role.TIED)) {
                    found.add(deadline(sentence, dated, true));
                }
            }
        }
        return found;
    }

    static Deadline deadline(Sentence sentence, Dated dated, boolean inSubject) {
        Span words = sentence.spanOf(dated.lead(), dated.phrase().toExclusive());
        return new Deadline(dated.phrase().day(), dated.phrase().time(), dated.firm(), words, inSubject);
    }
}
