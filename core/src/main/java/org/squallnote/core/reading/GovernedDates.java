package org.squallnote.core.reading;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.reading.DateRoles.Role;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/**
 * The role of a date that no word like "by" or "for" explains: the nearest word around it that gives something, that
 * happens or that names an event decides.
 */
final class GovernedDates {

    /** What stands between an event and its day; "the ferry people today" has another noun there. */
    private static final WordSet BEHIND_A_NOUN = WordSet.of(
            "on", "at", "in", "of", "for", "with", "from", "to", "this", "next", "is", "and", "or", "here", "there");

    private static final WordSet HAPPENS = happens();

    /** What may stand behind a noun that is the head of its group: not so in "the ferry people today". */
    private static final WordSet HEADS = heads();

    private static final WordSet RESULTS = WordSet.of(
            "decision", "payment", "offer", "booking", "reservation", "order", "choice", "change", "changes");

    private static final WordSet WANTING =
            WordSet.of("need", "want", "require", "like", "love", "prefer", "appreciate", "must", "should");

    private static final WordSet USING = WordSet.of("have", "use", "borrow", "rent", "hire");

    private static final WordSet TELLING_NOTHING =
            WordSet.of("if", "possible", "on", "at", "for", "can", "you", "in", "some", "time");

    /** "Do you have time on Friday?" */
    private static final WordSet FREE = WordSet.of("time", "room", "space", "capacity", "anything", "plans");

    private static final WordSet HAVING =
            WordSet.of("have", "get", "receive", "know", "hear", "see", "having", "getting");

    /** "move the van today": what somebody is asked to do at once is to be done by then. */
    private static final WordSet DONE_AT_ONCE =
            WordSet.of("move", "open", "close", "start", "stop", "put", "take", "run", "feed", "water", "begin");

    private static final WordSet COMPLETING = WordSet.of("complete", "finish", "fill", "answer", "completing");

    private static final WordSet SUBJECTS = WordSet.of(
            "i", "you", "we", "he", "she", "they", "who", "what", "which", "that", "it", "has", "have", "had", "was",
            "were");

    private static final WordSet PAST = WordSet.of(
            "made", "sent", "gave", "wrote", "told", "said", "brought", "took", "got", "found", "saw", "met", "had",
            "did", "came", "went", "bought", "left", "showed", "held", "paid", "spoke");

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> acts;

    GovernedDates(Sentence sentence, Parts parts, List<PhraseMatch> acts) {
        this.sentence = sentence;
        this.parts = parts;
        this.acts = acts;
    }

    private static WordSet heads() {
        Set<String> heads = new HashSet<>(BEHIND_A_NOUN.words());
        heads.addAll(HAPPENS.words());
        return WordSet.of(heads);
    }

    /** "sail" and "sails". */
    private static WordSet happens() {
        Set<String> happens = new HashSet<>(Phrases.HAPPENING.words());
        Phrases.HAPPENING.words().forEach(verb -> happens.add(verb + "s"));
        return WordSet.of(happens);
    }

    /** The nearest word before the date that gives, happens or names an event decides. */
    Role role(DatePhrase phrase, boolean needed) {
        int unit = parts.unitOf(phrase.fromInclusive());
        int start = phrase.fromInclusive() - 1;
        if (isAskedOfThePast(unit) || sentence.norm(phrase.toExclusive() - 1).equals("year")) {
            return Role.EVENT;
        }
        boolean needsHere = false;
        for (int i = start; i >= 0 && parts.unitOf(i) == unit; i--) {
            String norm = sentence.norm(i);
            boolean near = start - i <= 2;
            boolean place = sentence.norm(i - 1).equals("at");
            boolean head = i == start || HEADS.has(sentence, i + 1);
            if (near && head && !place && Phrases.EVENT.has(sentence, i) && !Phrases.GIVING.has(sentence, i)) {
                return isCompleted(i) ? Role.TIED : Role.EVENT;
            }
            if (norm.equals("who")
                    || norm.equals("which")
                    || (norm.equals("that") && i < start && sentence.norm(i + 1).endsWith("s"))) {
                return Role.EVENT;
            }
            if (sentence.norm(i).equals("call") && isOccasion(i)) {
                return Role.EVENT;
            }
            if (norm.equals("make") && sentence.at(i + 1).is("that", "those") && i + 2 == phrase.fromInclusive()) {
                return Role.TIED; // "Make that Monday instead."
            }
            if ((norm.equals("make") && sentence.norm(i + 1).equals("it"))
                    || (norm.equals("have") && FREE.has(sentence, i + 1))
                    || isUseThen(i)
                    || isNeedOfSomebody(i)
                    || isDoneByThen(i)
                    || isAskedOfTheWriter(i)) {
                return Role.EVENT;
            }
            if (norm.equals("see") && sentence.norm(i + 1).equals("you")) {
                return Role.EVENT;
            }
            if (isForThatTime(i)) {
                return Role.EVENT;
            }
            if (isLeaving(i) || isResult(i) || isDealtWith(i) || isToArrive(i, unit)) {
                return Role.TIED;
            }
            if (sentence.norm(i - 2).equals("before") && Phrases.HAPPENING.has(sentence, i)) {
                // "send it before you go home today": the day of sending as well.
                i -= 2;
                continue;
            }
            if (HAPPENS.has(sentence, i) && isVerbHere(i) && !(needed && norm.equals("be"))) {
                return DONE_AT_ONCE.has(sentence, i) && isRequestedForNow(phrase, unit) ? Role.TIED : Role.EVENT;
            }
            if (Phrases.GIVING.has(sentence, i) && isVerbHere(i) && !isNeedOfAll(i)) {
                // "Who's bringing the cake on Thursday?" asks now who will do it then.
                return sentence.isQuestion() && sentence.at(0).is("who", "who's") ? Role.EVENT : Role.TIED;
            }
            needsHere |= WANTING.has(sentence, i);
            boolean clauseBegins = i > 0 && parts.clauseOf(i - 1) != parts.clauseOf(i);
            if (clauseBegins && saysSomething(i, start)) {
                return needed && needsHere ? Role.TIED : followed(phrase, unit);
            }
        }
        return needed || isRequestedForNow(phrase, unit) ? Role.TIED : followed(phrase, unit);
    }

    /** "Could you dig it out today": whatever is to be done, it is wanted by then. */
    private boolean isRequestedForNow(DatePhrase phrase, int unit) {
        String first = sentence.norm(phrase.fromInclusive());
        if (!first.equals("today") && !first.equals("tonight") && !first.equals("this")) {
            return false;
        }
        for (PhraseMatch act : acts) {
            if (act.label().equals("request")
                    && act.fromInclusive() < phrase.fromInclusive()
                    && parts.unitOf(act.fromInclusive()) == unit) {
                return true;
            }
        }
        return false;
    }

    /** "the truck gets packed on Wednesday" is a clause of its own; "if possible on Friday" goes with the one before. */
    private boolean saysSomething(int from, int toInclusive) {
        int telling = 0;
        for (int i = from; i <= toInclusive; i++) {
            boolean small = Clauses.isLeadIn(sentence, i)
                    || DateRoles.SKIPPED.has(sentence, i)
                    || TELLING_NOTHING.has(sentence, i);
            telling += small ? 0 : 1;
        }
        return telling > 1;
    }

    /** A date in front of its verb: "on Friday please send me …". */
    private Role followed(DatePhrase phrase, int unit) {
        int clause = parts.clauseOf(phrase.fromInclusive());
        boolean said = saysSomething(parts.firstOfClause(clause), phrase.fromInclusive() - 1);
        for (int i = phrase.toExclusive();
                i < Math.min(sentence.size(), phrase.toExclusive() + 6) && parts.unitOf(i) == unit;
                i++) {
            if (Phrases.HAPPENING.has(sentence, i)) {
                return Role.EVENT;
            }
            if (Phrases.GIVING.has(sentence, i) && !(said && parts.clauseOf(i) != clause && !isDenied(i))) {
                return Role.TIED;
            }
        }
        return Role.EVENT;
    }

    /** "Did you see Tom on Thursday?" */
    private boolean isAskedOfThePast(int unit) {
        int first = parts.firstOfUnit(unit);
        while (first < sentence.size() - 1 && Clauses.isLeadIn(sentence, first)) {
            first++;
        }
        return sentence.isQuestion()
                && sentence.at(first).is("did", "was", "were")
                && !sentence.at(Math.min(first + 2, sentence.size() - 1)).is("want", "need");
    }

    /** "I need you at the desk on Thursday", "I need a lift on Thursday". */
    private boolean isNeedOfSomebody(int i) {
        if (!sentence.norm(i).equals("need")) {
            return false;
        }
        boolean you =
                sentence.norm(i + 1).equals("you") && !sentence.norm(i + 2).equals("to");
        return you || (sentence.norm(i + 1).equals("a") && Phrases.USABLE.has(sentence, i + 2));
    }

    /** "He makes his list on Thursday, if I don't have it then …" */
    private boolean isDenied(int verb) {
        return sentence.at(Math.max(0, verb - 1)).is("don't", "haven't", "not", "hasn't", "doesn't");
    }

    /** "How many chairs do we need on Saturday?" is asked now and about Saturday. */
    private boolean isNeedOfAll(int i) {
        return sentence.norm(i).equals("need") && sentence.norm(i - 1).equals("we") && sentence.isQuestion();
    }

    /** "Could we have the slipway on Saturday?": for that time, not by then. */
    private boolean isUseThen(int i) {
        if (!USING.has(sentence, i) || !sentence.at(Math.max(0, i - 1)).is("i", "we")) {
            return false;
        }
        for (int at = i + 1; at < Math.min(sentence.size(), i + 5); at++) {
            if (Phrases.USABLE.has(sentence, at)) {
                return true;
            }
        }
        return false;
    }

    /** "that Tom made on Friday", "you showed us on 3 March". */
    private boolean isDoneByThen(int i) {
        String norm = sentence.norm(i);
        boolean past = PAST.has(sentence, i) || (norm.length() > 4 && norm.endsWith("ed") && !norm.equals("need"));
        return past
                && i > 0
                && (SUBJECTS.has(sentence, i - 1) || (sentence.at(i - 1).capital() && !NotNames.isOne(sentence, i - 1)))
                && !sentence.at(Math.max(0, i - 2))
                        .is("have", "has", "had", "get", "see", "want", "need", "keep", "make", "let", "getting")
                && !sentence.at(i).is("wanted", "needed", "liked");
    }

    /** "Can I call you on Friday?", "Do we need to bring anything on Friday?" ask about a day of the writer. */
    private boolean isAskedOfTheWriter(int i) {
        boolean obliged = sentence.norm(i - 1).equals("to");
        if (!Phrases.GIVING.has(sentence, i) || HAVING.has(sentence, i)) {
            return false;
        }
        int subject = obliged ? i - 3 : i - 1;
        return subject > 0
                && sentence.at(subject).is("i", "we")
                && sentence.at(subject - 1).is("can", "could", "may", "shall", "should", "will", "do", "did", "must");
    }

    /** "fifteen minutes for a call": one that takes place, not one that is given. */
    private boolean isOccasion(int i) {
        int at = i - 1;
        while (at > 0 && sentence.at(at).is("a", "quick", "short", "brief", "phone", "video")) {
            at--;
        }
        return at < i - 1 && sentence.at(at).is("for", "have", "schedule", "arrange", "on");
    }

    /** "give us a hand", "look after the dog", "pick me up", "have lunch": what takes place, whatever the verb is else. */
    private boolean isForThatTime(int i) {
        return switch (sentence.norm(i)) {
            case "give" ->
                sentence.norm(i + 2).equals("hand") || sentence.norm(i + 3).equals("hand");
            case "look" -> sentence.norm(i + 1).equals("after");
            case "get" -> i + 1 < sentence.size() && sentence.at(i + 1).is("in", "there", "home", "up", "together");
            case "pick" -> i + 1 < sentence.size() && sentence.at(i + 1).is("me", "us", "him", "her", "them");
            case "have" ->
                i + 1 < sentence.size()
                        && sentence.at(i + 1).is("lunch", "dinner", "breakfast", "coffee", "tea", "drinks", "supper");
            default -> false;
        };
    }

    /** "make a decision", "make the payment", "take a look", "find out": a result that is there by then. */
    private boolean isResult(int i) {
        return switch (sentence.norm(i)) {
            case "make" -> RESULTS.has(sentence, i + 1) || RESULTS.has(sentence, i + 2);
            case "take" ->
                sentence.norm(i + 2).equals("look") || sentence.norm(i + 3).equals("look");
            case "find" -> sentence.norm(i + 1).equals("out");
            default -> false;
        };
    }

    /** "It would help if the samples could reach the lab on Friday": handed over by then. */
    private boolean isToArrive(int i, int unit) {
        return (sentence.norm(i).equals("reach") || sentence.norm(i).equals("reaches"))
                && !sentence.isQuestion()
                && acts.stream()
                        .anyMatch(act -> SentenceAsks.isAsk(act.label())
                                && act.fromInclusive() < i
                                && parts.unitOf(act.fromInclusive()) == unit);
    }

    /** "complete the survey": a thing to be filled in, not the one that takes place. */
    private boolean isCompleted(int noun) {
        return COMPLETING.has(sentence, noun - 2)
                || COMPLETING.has(sentence, noun - 1)
                || sentence.norm(noun - 3).equals("respond")
                || (sentence.norm(noun - 3).equals("fill")
                        && (sentence.norm(noun - 2).equals("in")
                                || sentence.norm(noun - 2).equals("out")));
    }

    /** "go through the list", "take me off the list", "run it past Tom": a result as well. */
    private boolean isDealtWith(int verb) {
        return switch (sentence.norm(verb)) {
            case "go" -> isNear(verb, "through", "over");
            case "run" -> isNear(verb, "past", "by");
            case "take" -> isNear(verb, "off", "down");
            case "put" -> isNear(verb, "up", "away");
            case "work" -> isNear(verb, "out");
            default -> false;
        };
    }

    private boolean isNear(int verb, String... particles) {
        for (int i = verb + 1; i < Math.min(sentence.size(), verb + 3); i++) {
            if (sentence.at(i).is(particles)) {
                return true;
            }
        }
        return false;
    }

    /** "leave the key at reception" hands it over; "we leave on Friday" does not. */
    private boolean isLeaving(int i) {
        String norm = sentence.norm(i);
        return (norm.equals("leave") || norm.equals("put")) && Phrases.OBJECT.has(sentence, i + 1);
    }

    /** "the order", "a quote" are nouns; "to order", "please order" are not. */
    private boolean isVerbHere(int i) {
        String before = sentence.norm(i - 1);
        return !(before.equals("the")
                || before.equals("a")
                || before.equals("an")
                || before.equals("your")
                || before.equals("my")
                || before.equals("our")
                || before.equals("his")
                || before.equals("her")
                || before.equals("of")
                || before.equals("by")
                || before.equals("this"));
    }
}
