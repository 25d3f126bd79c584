package org.squallnote.core.turn;

import java.util.List;
import java.util.function.Predicate;
import org.squallnote.core.text.PhraseBook;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;

/** Tells an ask that wants something done from one that wants to know something, by the rules of {@code wanted.rules}. */
final class Wanted {

    static final PhraseBook RULES = PhraseBook.of(Wanted.class, "wanted.rules");

    /** "Tuesday afternoon, please": more words before it say more than which or when. */
    private static final int LONGEST_CHOICE = 6;

    private final List<Sentence> sentences;
    private final List<List<PhraseMatch>> found;

    private Wanted(List<Sentence> sentences, Predicate<PhraseMatch> counts) {
        this.sentences = sentences;
        this.found = sentences.stream()
                .map(sentence -> RULES.in(sentence).stream().filter(counts).toList())
                .toList();
    }

    private static Wanted in(String words) {
        return in(words, any -> true);
    }

    /**
     * Reads what somebody asks or promises.
     *
     * @param counts which matches of the rules count
     */
    static Wanted in(String words, Predicate<PhraseMatch> counts) {
        return new Wanted(SentenceSplitter.split(words, RULES), counts);
    }

    /** Whether a phrase of one of these labels stands there. */
    boolean has(String... labels) {
        return found.stream().flatMap(List::stream).anyMatch(match -> isOneOf(match, labels));
    }

    /** Whether a phrase of a label stands there that none of another lies over. */
    boolean hasBeside(String label, String over) {
        return found.stream()
                .anyMatch(all -> all.stream()
                        .filter(match -> isOneOf(match, label))
                        .anyMatch(match -> all.stream()
                                .noneMatch(other -> isOneOf(other, over) && other.covers(match.fromInclusive()))));
    }

    private static boolean isOneOf(PhraseMatch match, String... labels) {
        for (String label : labels) {
            if (match.label().equals(label)) {
                return true;
            }
        }
        return false;
    }

    private boolean isQuestion() {
        return sentences.stream().anyMatch(Sentence::isQuestion);
    }

    /** Whether it wants something done; an invitation wants an answer. */
    static boolean isToBeDone(String ask) {
        return in(ask).isToBeDone();
    }

    private boolean isToBeDone() {
        if (has("opinion", "to-be-given")) {
            return true;
        }
        if (sentences.isEmpty() || has("what", "to-tell", "not-done")) {
            return false;
        }
        return has("done") || (!isQuestion() && !has("question"));
    }

    /** Whether something that is promised comes by itself: "it goes in the post tomorrow". */
    static boolean isOnItsWay(String promise) {
        return in(promise).has("on-its-way");
    }

    /** Whether it wants to be told what to do. */
    static boolean asksWhatToDo(String ask) {
        return in(ask).has("what-to-do", "how-to");
    }

    /** "Which ones should we order?"; "shall I order some?" offers it. */
    static boolean asksHow(String ask) {
        return in(ask).has("how-to");
    }

    /** "What do you think of the draft?": "swap the pictures" says what they think. */
    static boolean asksForAnOpinion(String ask) {
        return in(ask).has("opinion");
    }

    /** Whether a promise is about what others will be told. */
    static boolean isToldToOthers(String promise) {
        Wanted told = in(promise);
        return told.has("others") && !told.has("to-you");
    }

    /** Whether it says that those who write have spoken to each other: "good talking to you". */
    static boolean saysThatTheySpoke(String words) {
        return in(words).has("spoke");
    }

    /** Whether nothing is wanted but to be spoken to: "could you give me a ring?" */
    static boolean isOnlyACall(String ask) {
        Wanted wanted = in(ask);
        return wanted.has("call") && !wanted.has("further");
    }

    /** Whether it tells somebody what to do and wants nothing back. */
    static boolean isInstruction(String ask) {
        return in(ask).wantsNothingBack();
    }

    /** Whether it only says how something is done: "hold the green button", but not "just sign the contract". */
    static boolean saysHow(String ask) {
        Wanted wanted = in(ask);
        return wanted.wantsNothingBack() && !wanted.has("comes-back");
    }

    private boolean wantsNothingBack() {
        return !sentences.isEmpty() && !isQuestion() && !hasBeside("back", "call-us");
    }

    /**
     * Whether it tells somebody to turn to somebody else, and wants nothing back, or says what the writer wants of what was
     * offered: "one for me, please".
     */
    static boolean refersElsewhereOrOrders(String ask) {
        Wanted wanted = in(ask);
        return (wanted.wantsNothingBack() && wanted.hasBeside("elsewhere", "to-us")) || wanted.has("mine");
    }

    /** "Do you know where the maps are?", asked of several: once one has told, nobody needs to. */
    static boolean isToldByAnyone(String ask) {
        Wanted wanted = in(ask);
        return !wanted.isToBeDone() && !wanted.hasBeside("yours", "known");
    }

    /** Whether it wants what somebody has to have before they can do something: "send me the agenda". */
    static boolean isNeededFirst(String ask) {
        return in(ask).has("needed-first");
    }

    /** Whether it may only say which or when: "Tuesday afternoon, please". */
    static boolean isChoice(String ask) {
        Wanted wanted = in(ask);
        return !wanted.has("do-it")
                && wanted.found.stream().limit(1).flatMap(List::stream).anyMatch(wanted::isPoliteChoice);
    }

    private boolean isPoliteChoice(PhraseMatch match) {
        boolean last = isOneOf(match, "please-last")
                && match.toExclusive() == sentences.get(0).size()
                && sentences.size() == 1;
        return (last || isOneOf(match, "please"))
                && match.fromInclusive() > 0
                && match.fromInclusive() <= LONGEST_CHOICE;
    }

    /** Whether it wants one thing out of several to be named: a day, a place, a number. */
    static boolean asksForAChoice(String ask) {
        Wanted wanted = in(ask);
        return wanted.isWhichOf() || (!wanted.isToBeDone() && wanted.has("what"));
    }

    /** Whether it wants one of two things, or a day: "ten, please" to "how many?" orders them, "Friday, please" orders nothing. */
    static boolean asksWhichOf(String ask) {
        return in(ask).isWhichOf();
    }

    private boolean isWhichOf() {
        return has("which") || (isQuestion() && has("either"));
    }

    /** "Are we still on for tonight?", "are you free on Friday?": another day is an answer as well. */
    static boolean isAboutAPlan(String ask) {
        Wanted wanted = in(ask);
        return !wanted.isToBeDone() && !wanted.has("what") && wanted.has("plan");
    }

    /** "I need it by Friday": about what the words before it name. */
    static boolean isAboutTheSame(String ask) {
        return in(ask).has("the-same");
    }

    /** Whether it only comes back to what was asked before. */
    static boolean reminds(String ask) {
        return in(ask).has("reminds");
    }
}
