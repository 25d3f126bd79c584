package org.squallnote.core.reading;

import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** What a sentence without an ask says of its date: that something is due then, needed or wished for. */
final class DatePurposes {

    /** A fragment such as "By Friday if possible." has at most this many words. */
    private static final int LONGEST_FRAGMENT = 9;

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
            "everything",
            "this",
            "of",
            "it",
            "them",
            "both",
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
            "there's",
            "there",
            "is",
            "it's",
            "later",
            "than");

    private DatePurposes() {}

    /** "The bank needs the form back on Monday": somebody waits for a thing. */
    static boolean isNeededThen(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        for (int i = read.parts().firstOfUnit(read.parts().unitOf(dated.lead())); i < dated.lead() - 1; i++) {
            boolean needs = sentence.at(i).is("needs", "wants", "expects", "requires");
            boolean need = sentence.at(i).is("need", "want", "expect", "require") && isSomebodyElse(sentence, i - 1);
            boolean asks = sentence.at(i).is("ask", "asks", "asking")
                    && sentence.norm(i + 1).equals("for")
                    && isSomebodyElse(sentence, i - 1);
            boolean hopes =
                    sentence.at(i).is("hoping", "hoped") && sentence.norm(i + 1).equals("for");
            if (asks || hopes) {
                return true;
            }
            boolean must = sentence.norm(i).equals("must")
                    && sentence.at(i + 1).is("have", "get", "see", "receive", "know")
                    && isSomebodyElse(sentence, i - 1);
            boolean toHave = sentence.norm(i + 1).equals("to")
                    && sentence.at(i + 2).is("know", "have", "hear", "get", "receive");
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
    static boolean isAtThatTime(ReadSentence read, Dated dated) {
        return dated.phrase().time().isPresent()
                && read.sentence().norm(dated.phrase().fromInclusive() - 1).equals("at");
    }

    /**
     * "I have to tell them by Friday", "I promised the council an answer by Friday" beside an ask: what was asked has to be
     * there by then.
     */
    static boolean isWhatItIsNeededFor(ReadSentence read) {
        Sentence sentence = read.sentence();
        for (int i = 0; i < sentence.size() - 1; i++) {
            boolean writer = sentence.norm(i).equals("i")
                    || sentence.norm(i).equals("we")
                    || (sentence.norm(i).equals("would") && sentence.norm(i - 1).equals("and"));
            boolean must = sentence.norm(i + 1).equals("must")
                    || (sentence.at(i + 1).is("have", "need")
                            && sentence.norm(i + 2).equals("to"));
            int verb = sentence.norm(i + 1).equals("must") ? i + 2 : i + 3;
            boolean gives = must && Phrases.GIVING.has(sentence, verb);
            boolean perfect =
                    sentence.norm(i + 1).equals("have") && sentence.norm(i + 2).equals("promised");
            boolean promised = perfect
                    || sentence.at(i + 1).is("promised", "owe")
                    || (sentence.at(i + 1).is("told", "said", "assured") && isOfTheFuture(sentence, i + 2));
            boolean tellsMe = must
                    && gives
                    && sentence.at(verb + 1 < sentence.size() ? verb + 1 : i).is("me", "us");
            if ((writer && (gives || promised)) || tellsMe) {
                return true;
            }
            if (sentence.norm(i).equals("i've") && sentence.norm(i + 1).equals("promised")) {
                return true;
            }
        }
        return false;
    }

    /** "I'd like to have all of it a week from today", behind an ask. */
    static boolean isWishedFor(ReadSentence read, Dated dated) {
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
    static boolean isWhenItShouldBe(ReadSentence read, Dated dated) {
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

    /** "they want to have it by then", but "they want to be finished by then". */
    private static boolean isHad(Sentence sentence, int verb) {
        return sentence.at(Math.min(verb, sentence.size() - 1))
                .is(
                        "have", "get", "know", "hear", "see", "receive", "send", "submit", "print", "order", "book",
                        "tell");
    }

    static boolean saysWhatFor(ReadSentence read, Dated dated) {
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
                        "ought",
                        "expecting",
                        "receiving",
                        "hope",
                        "hoping",
                        "forward",
                        "closes",
                        "close",
                        "closing",
                        "wait",
                        "like",
                        "likes" -> {
                    boolean ownPlan = sentence.norm(i + 1).equals("to")
                            && (sentence.norm(i).equals("need")
                                    || (sentence.at(i).is("want", "wants", "like", "likes", "hope", "hoping")
                                            && !isHad(sentence, i + 2)));
                    return !ownPlan;
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
    static boolean isFragment(ReadSentence read, Dated dated) {
        Sentence sentence = read.sentence();
        if (dated.lead() > LONGEST_FRAGMENT || read.has("promise") || read.has("holding")) {
            return false;
        }
        for (int i = 0; i < dated.lead(); i++) {
            if (!BEFORE_A_BARE_DATE.has(sentence, i) && !Clauses.isLeadIn(sentence, i)) {
                return false;
            }
        }
        int to = dated.phrase().toExclusive();
        if (to >= sentence.size() || sentence.at(to).followsMark()) {
            return true;
        }
        return switch (sentence.norm(to)) {
            case "is" ->
                !sentence.at(Math.min(to + 1, sentence.size() - 1))
                        .is("a", "an", "the", "my", "our", "his", "her", "their", "when", "not", "closed", "off");
            case "would", "will", "works", "please", "latest", "if", "at", "suits", "or", "of" -> true;
            default -> false;
        };
    }
}
