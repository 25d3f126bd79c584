package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** The asks of one sentence, whomever they are for: by phrases, by the form of a question, by a bare imperative. */
final class SentenceAsks {

    private static final WordSet AUXILIARIES = WordSet.of(
            "is",
            "are",
            "was",
            "were",
            "do",
            "does",
            "did",
            "have",
            "has",
            "had",
            "can",
            "could",
            "will",
            "would",
            "shall",
            "should",
            "may",
            "isn't",
            "aren't",
            "don't",
            "doesn't",
            "didn't",
            "haven't",
            "hasn't",
            "can't",
            "won't",
            "am",
            "weren't",
            "wasn't",
            "wouldn't",
            "couldn't",
            "shouldn't");
    private static final WordSet SUBJECTS = WordSet.of(
            "you",
            "we",
            "i",
            "they",
            "he",
            "she",
            "it",
            "the",
            "your",
            "my",
            "our",
            "his",
            "her",
            "their",
            "this",
            "that",
            "these",
            "those",
            "there",
            "anybody",
            "somebody",
            "everybody",
            "any",
            "all",
            "both");
    /** "does Friday work for you and your brother": longer, it is rather a statement. */
    private static final int LONGEST_ABOUT_A_DAY = 9;

    /** "all signed forms and receipts to me". */
    private static final int LONGEST_HANDED = 7;

    private static final WordSet HOPING = WordSet.of("hoping", "hoped", "wondering", "wondered");

    /** Words that tell of something said or sent to me before. */
    private static final WordSet TOLD = WordSet.of(
            "said", "spoke", "wrote", "sent", "came", "gave", "went", "brought", "told", "spoken", "written", "given",
            "happened", "seems", "matters", "is", "was", "are", "were", "i", "we", "he", "she", "they", "it", "that",
            "this", "who", "which", "not", "fine", "ok", "okay", "good", "news", "thanks", "clear", "due", "up");

    private static final WordSet CONDITIONS = WordSet.of("if", "unless", "when", "once", "should");

    private static final WordSet TELLING = WordSet.of(
            "tell", "let", "call", "ring", "send", "give", "email", "text", "drop", "ping", "message", "write", "leave",
            "bring", "show", "remind", "ask", "phone");

    private static final WordSet BEFORE_A_FINITE_VERB = WordSet.of(
            "to", "you", "i", "we", "they", "he", "she", "it", "who", "that", "would", "could", "can", "will", "did",
            "do", "does", "should", "must", "may", "might", "and", "or", "not", "don't", "never", "people", "you'll",
            "i'll", "always", "only", "also", "just", "then", "please", "everybody", "somebody", "anybody", "nobody",
            "a", "the", "your", "my", "his", "her", "their", "our", "of", "by", "for", "phone");

    private static final WordSet BY_WHEN =
            WordSet.of("by", "before", "until", "till", "today", "tomorrow", "tonight", "asap", "no", "this", "please");

    /** What may follow a short question: "how many bags though". */
    private static final WordSet TRAILING =
            WordSet.of("though", "then", "again", "exactly", "please", "roughly", "tho", "anyway", "now");

    private static final WordSet QUESTION_WORDS =
            WordSet.of("what", "where", "when", "which", "who", "whose", "how", "why", "whom");
    private static final WordSet QUESTION_IS =
            WordSet.of("what's", "where's", "when's", "who's", "how's", "why's", "what're", "where're");

    /**
     * An ask of the sentence.
     *
     * @param kind how it asks
     * @param from index of the first word that makes it one
     * @param to index after the last of these
     * @param wanted index of the first word that says what is wanted
     */
    record Found(Ask.Kind kind, int from, int to, int wanted) {}

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> matches;
    private final boolean goesOn;

    /**
     * Looks at a sentence.
     *
     * @param goesOn whether another sentence follows in the same paragraph that answers a question or goes on with it
     */
    SentenceAsks(Sentence sentence, boolean goesOn) {
        this.sentence = sentence;
        this.parts = new Parts(sentence);
        this.matches = Phrases.BOOK.in(sentence);
        this.goesOn = goesOn;
    }

    Parts parts() {
        return parts;
    }

    /** All phrases of the sentence, those of other things than asks too. */
    List<PhraseMatch> matches() {
        return matches;
    }

    /** The asks in the order of their first words. */
    List<Found> all() {
        List<Found> found = new ArrayList<>();
        for (PhraseMatch match : matches) {
            if (isAsk(match.label()) && !sentence.at(match.fromInclusive()).quoted() && !isVoid(match)) {
                found.add(new Found(
                        Ask.Kind.valueOf(match.label().toUpperCase(Locale.ROOT)),
                        match.fromInclusive(),
                        match.toExclusive(),
                        match.wantedAt()));
            }
        }
        imperatives(found);
        trailingPlease(found);
        toMeByThen(found);
        afterCondition(found);
        question(found);
        if (found.size() > 1) {
            found.sort(Comparator.comparingInt(Found::from));
        }
        return found;
    }

    private static boolean isAsk(String label) {
        return switch (label) {
            case "request", "need", "wish", "condition", "offer" -> true;
            default -> false;
        };
    }

    /** Whether a courtesy or reported speech takes the ask back. */
    private boolean isVoid(PhraseMatch ask) {
        return isVoid(ask.fromInclusive(), ask.label());
    }

    private boolean isVoid(int at, String label) {
        if (label.equals("need") && sentence.at(at).is("waiting", "wait", "await", "awaiting") && isPutOff(at)) {
            // "I'm waiting for the maker's price and will come back to you" waits for somebody else.
            return true;
        }
        for (PhraseMatch match : matches) {
            boolean sameClause = parts.clauseOf(match.fromInclusive()) == parts.clauseOf(at);
            if (match.fromInclusive() == at + 1 && HOPING.has(sentence, at)) {
                continue; // "I was hoping you would be willing to write": courteous, and asked.
            }
            switch (match.label()) {
                case "courtesy" -> {
                    if (sameClause && (match.covers(at) || at >= match.fromInclusive() - 2)) {
                        return true;
                    }
                }
                case "formula" -> {
                    // "Please note that we need the form": only the "please" asks nothing.
                    if (match.covers(at)) {
                        return true;
                    }
                }
                case "courtesy-if" -> {
                    // "If you want me to sign it, I need it by then" needs it all the same.
                    boolean needed = label.equals("need") && !sameClause;
                    if (parts.unitOf(match.fromInclusive()) == parts.unitOf(at) && !needed) {
                        return true;
                    }
                }
                case "reported" -> {
                    if (sameClause && match.fromInclusive() < at && !isMineToAsk(match)) {
                        return true;
                    }
                }
                case "rhetorical", "small-talk" -> {
                    if (match.covers(at) && label.equals("request")) {
                        return true;
                    }
                }
                default -> {}
            }
        }
        return false;
    }

    private boolean isPutOff(int at) {
        for (PhraseMatch match : matches) {
            boolean later = match.label().equals("promise") || match.label().equals("holding");
            if (later && !match.covers(at)) {
                return true;
            }
        }
        return false;
    }

    /** "I wanted to ask whether", "I'd like to know if": the writer's own question, not one that is reported. */
    private boolean isMineToAsk(PhraseMatch reported) {
        String before = sentence.norm(reported.fromInclusive() - 1);
        return reported.label().equals("reported")
                && sentence.norm(reported.fromInclusive()).startsWith("want")
                && (before.equals("i") || before.equals("we") || before.equals("just"));
    }

    private void imperatives(List<Found> found) {
        for (int i = 0; i < sentence.size(); i++) {
            if (!sentence.startsClause(i) || sentence.at(i).quoted()) {
                continue;
            }
            boolean verb = Phrases.IMPERATIVE.has(sentence, i);
            boolean nounToo = Phrases.IMPERATIVE_OR_NOUN.has(sentence, i);
            if (!verb && !nounToo) {
                continue;
            }
            boolean objectFollows = i + 1 < sentence.size()
                    && !sentence.at(i + 1).followsMark()
                    && (Phrases.OBJECT.has(sentence, i + 1) || (verb && looksLikeObject(i + 1)));
            if ((objectFollows || isByWhen(i)) && isImperativeHere(i) && !isVoid(i, "request")) {
                found.add(new Found(Ask.Kind.REQUEST, i, i + 1, i));
            }
        }
    }

    /** "If that's a problem tell me": people leave out the comma between a condition and what they ask then. */
    private void afterCondition(List<Found> found) {
        int condition = -1;
        for (int i = 0; i < sentence.size() - 1; i++) {
            if (sentence.startsPart(i) && i > 0 && condition >= 0 && i > condition) {
                condition = -1;
            }
            if (CONDITIONS.has(sentence, i) && sentence.startsClause(i)) {
                condition = i;
            }
            boolean asks = condition >= 0
                    && i >= condition + 3
                    && TELLING.has(sentence, i)
                    && sentence.at(i + 1).is("me", "us")
                    && !BEFORE_A_FINITE_VERB.has(sentence, i - 1)
                    && !sentence.norm(i - 1).endsWith("s");
            if (asks && !isVoid(i, "request")) {
                found.add(new Found(Ask.Kind.REQUEST, i, i + 1, i));
                return;
            }
        }
    }

    /** "reply by Friday", "sign before noon", but not the second half of "we will review and reply by Friday". */
    private boolean isByWhen(int at) {
        int first = parts.firstOfClause(parts.clauseOf(at));
        boolean joined = first > 0 && sentence.at(first).is("and", "or", "then", "but", "so");
        return !joined
                && at + 1 < sentence.size()
                && !sentence.at(at + 1).followsMark()
                && sentence.at(at)
                        .is("reply", "answer", "sign", "pay", "decide", "return", "vote", "confirm", "book", "order")
                && sentence.at(at + 1).is("by", "before", "within", "until", "today", "tomorrow");
    }

    private boolean looksLikeObject(int at) {
        String norm = sentence.norm(at);
        return switch (norm) {
            case "of",
                    "is",
                    "was",
                    "are",
                    "were",
                    "has",
                    "had",
                    "on",
                    "at",
                    "by",
                    "for",
                    "as",
                    "with",
                    "from",
                    "i",
                    "we",
                    "you",
                    "he",
                    "she",
                    "they" -> false;
            default -> !norm.endsWith("ed") || isBeforeANoun(at + 1);
        };
    }

    /** "circulate revised plans", not "check finished on Friday". */
    private boolean isBeforeANoun(int at) {
        String norm = sentence.norm(at);
        return norm.length() > 3 && !sentence.at(at).followsMark() && !NotNames.isOne(sentence, at);
    }

    /** A bare imperative starts its sentence or follows another ask; "I send the list and take the train" has none. */
    private boolean isImperativeHere(int at) {
        int clause = parts.clauseOf(at);
        int first = parts.firstOfClause(clause);
        for (int i = first; i < at; i++) {
            String norm = sentence.norm(i);
            boolean leads = Clauses.isLeadIn(sentence, i)
                    || Clauses.isConjunction(sentence, i)
                    || sentence.at(i).isMention()
                    || (sentence.at(i).capital() && !norm.equals("i"));
            if (!leads) {
                return false;
            }
        }
        if (first == 0) {
            return true;
        }
        String joint = sentence.norm(first);
        if (joint.equals("and") || joint.equals("or") || joint.equals("then")) {
            return startsWithAsk(parts.clauseOf(first - 1));
        }
        return true;
    }

    private boolean startsWithAsk(int clause) {
        for (PhraseMatch match : matches) {
            if (isAsk(match.label()) && parts.clauseOf(match.fromInclusive()) <= clause) {
                return true;
            }
        }
        int first = parts.firstOfClause(0);
        while (first < sentence.size()
                && (Clauses.isLeadIn(sentence, first) || sentence.at(first).isMention())) {
            first++;
        }
        boolean imperative = Phrases.IMPERATIVE.has(sentence, first) || Phrases.IMPERATIVE_OR_NOUN.has(sentence, first);
        return imperative && !isVoid(first, "request");
    }

    /** "Your picks, please.", "the door code pls". */
    private void trailingPlease(List<Found> found) {
        int last = sentence.size() - 1;
        if (last < 2
                || !sentence.norm(last).equals("please")
                || sentence.at(last).quoted()) {
            return;
        }
        String first = sentence.norm(0);
        boolean answer = first.equals("yes")
                || first.equals("no")
                || first.equals("yeah")
                || first.equals("yep")
                || first.equals("ok");
        if (!answer && !isVoid(last, "request")) {
            found.add(new Found(Ask.Kind.REQUEST, 0, sentence.size(), 0));
        }
    }

    /** "Counts to me by Friday night.", "all forms to us before noon": what is to be handed in, without a verb. */
    private void toMeByThen(List<Found> found) {
        for (int i = 1; i < sentence.size() - 1; i++) {
            boolean toMe = sentence.norm(i - 1).equals("to")
                    && sentence.at(i).is("me", "us")
                    && BY_WHEN.has(sentence, i + 1);
            int first = parts.firstOfClause(parts.clauseOf(i));
            if (toMe && i - first >= 2 && i - first <= LONGEST_HANDED && isPlainNoun(first, i - 1)) {
                found.add(new Found(Ask.Kind.REQUEST, first, i + 1, first));
                return;
            }
        }
    }

    private boolean isPlainNoun(int from, int to) {
        for (int i = from; i < to; i++) {
            boolean past = sentence.norm(i).endsWith("ed") && (i > from || to - from < 2);
            if (past || TOLD.has(sentence, i) || sentence.at(i).quoted()) {
                return false;
            }
        }
        return true;
    }

    private void question(List<Found> found) {
        int start = sentence.isQuestion() ? questionStart() : bareQuestionStart();
        if (start < 0
                || start >= sentence.size()
                || (sentence.at(start).quoted()
                        && sentence.at(sentence.size() - 1).quoted())) {
            return;
        }
        if (!isOnlyTalk(start)) {
            found.add(new Found(Ask.Kind.QUESTION, start, sentence.size(), start));
        }
    }

    /** Where the question of a sentence that ends with a question mark begins: its first clause that is shaped like one. */
    private int questionStart() {
        int lastClause = parts.lastClause();
        for (int clause = 0; clause <= lastClause; clause++) {
            int first = afterLeadIn(parts.firstOfClause(clause));
            if (isShapedLikeQuestion(first)) {
                return first;
            }
        }
        return afterLeadIn(0) < sentence.size() ? afterLeadIn(0) : 0;
    }

    /** Where a question without a mark begins, as people type it in a chat. */
    private int bareQuestionStart() {
        if (sentence.isExclamation()) {
            return -1;
        }
        for (int i = 0; i < sentence.size(); i++) {
            if (sentence.startsClause(i) && !sentence.at(i).quoted() && isBareQuestion(i)) {
                return i;
            }
        }
        return -1;
    }

    private int afterLeadIn(int from) {
        int i = from;
        while (i < sentence.size()
                && (Clauses.isLeadIn(sentence, i)
                        || Clauses.isConjunction(sentence, i)
                        || sentence.at(i).isMention())) {
            i++;
        }
        return i;
    }

    private boolean isShapedLikeQuestion(int i) {
        String norm = sentence.norm(i);
        boolean preposition =
                QUESTION_WORDS.has(sentence, i + 1) && norm.length() <= 5 && !Clauses.isLeadIn(sentence, i);
        return AUXILIARIES.has(sentence, i)
                || QUESTION_WORDS.has(sentence, i)
                || QUESTION_IS.has(sentence, i)
                || norm.startsWith("any")
                || preposition;
    }

    private boolean isBareQuestion(int i) {
        String norm = sentence.norm(i);
        String next = sentence.norm(i + 1);
        if (isFragment(i)) {
            return true;
        }
        if (norm.equals("how") && next.equals("come")) {
            return true;
        }
        if (QUESTION_IS.has(sentence, i)) {
            return !next.equals("more")
                    && !next.equals("left")
                    && i + 1 < sentence.size()
                    && sentence.size() - i <= 14
                    && isWhole(i);
        }
        if (QUESTION_WORDS.has(sentence, i)) {
            boolean relative =
                    (norm.equals("who") || norm.equals("which") || norm.equals("whose")) && afterLeadIn(0) != i;
            return !relative && isWhole(i) && invertedWithin(i + 1, norm);
        }
        boolean day = Phrases.WEEKDAY.has(sentence, i + 1) || next.equals("tomorrow") || next.equals("today");
        if (day && (norm.equals("is") || norm.equals("does") || norm.equals("would") || norm.equals("will"))) {
            return isWhole(i) && sentence.size() - i <= LONGEST_ABOUT_A_DAY;
        }
        if (!AUXILIARIES.has(sentence, i)
                || !SUBJECTS.has(sentence, i + 1)
                || sentence.at(i + 1).followsMark()
                || !isWhole(i)) {
            return false;
        }
        return switch (norm) {
            case "did" ->
                (!next.equals("it") && !next.equals("that") && !next.equals("the"))
                        || (sentence.size() - i > 4 && !next.equals("it") && !next.equals("that"));
            case "have", "had" -> next.equals("you") || next.equals("we") || next.equals("they");
            case "do" -> next.equals("you") || next.equals("we") || next.equals("i") || next.equals("they");
            case "has", "does", "is", "are", "was", "were", "am", "weren't", "wasn't" -> true;
            default ->
                next.equals("you")
                        || next.equals("we")
                        || next.equals("i")
                        || next.equals("somebody")
                        || next.equals("anybody")
                        || next.equals("they")
                        || next.equals("the")
                        || next.equals("that")
                        || next.equals("it");
        };
    }

    /** "which pontoon", "how many": a question word with hardly anything behind it. */
    private boolean isFragment(int i) {
        int end = sentence.size();
        while (end > i + 2 && TRAILING.has(sentence, end - 1)) {
            end--;
        }
        int rest = end - i;
        if (i != afterLeadIn(0)
                || rest > 3
                || (rest < 2
                        && !sentence.norm(i).equals("when")
                        && !sentence.norm(i).equals("where"))) {
            return false;
        }
        String next = sentence.norm(i + 1);
        return switch (sentence.norm(i)) {
            case "which" -> !next.equals("is") && !next.equals("was");
            case "what" ->
                next.equals("time")
                        || next.equals("size")
                        || next.equals("colour")
                        || next.equals("color")
                        || next.equals("number");
            case "how" ->
                next.equals("many")
                        || next.equals("much")
                        || next.equals("long")
                        || next.equals("far")
                        || next.equals("often");
            case "when", "where" -> rest == 1;
            default -> false;
        };
    }

    /** Whether the part is not a dependent one of a statement that goes on: "when you get back, call". */
    private boolean isWhole(int i) {
        int clause = parts.clauseOf(i);
        boolean firstClause = clause == 0 || sentence.startsClause(i);
        return firstClause && sentence.size() - i >= 3;
    }

    /** "which room are we in", "what time do we close": an auxiliary and a subject within a few words. */
    private boolean invertedWithin(int from, String word) {
        int reach = word.equals("what") || word.equals("which") || word.equals("how") || word.equals("whose") ? 3 : 0;
        for (int i = from; i <= from + reach && i + 1 < sentence.size(); i++) {
            if (AUXILIARIES.has(sentence, i)) {
                boolean whoOrWhat = word.equals("who") && i == from;
                boolean subject =
                        SUBJECTS.has(sentence, i + 1) || sentence.at(i + 1).capital();
                boolean relative = (word.equals("which") && i == from)
                        || (word.equals("what") && sentence.norm(i).equals("is") && !subject);
                return !relative && (subject || whoOrWhat);
            }
            if (SUBJECTS.has(sentence, i) && !sentence.norm(i).equals("all")) {
                return false;
            }
        }
        return false;
    }

    /** Greetings, rhetorical questions and reported ones; "answered" ones when something follows. */
    private boolean isOnlyTalk(int start) {
        int clause = parts.clauseOf(start);
        for (PhraseMatch match : matches) {
            boolean inside = parts.clauseOf(match.fromInclusive()) >= clause || match.fromInclusive() >= start;
            switch (match.label()) {
                case "rhetorical", "small-talk" -> {
                    boolean oneWord =
                            match.toExclusive() - match.fromInclusive() == 1 && match.toExclusive() < sentence.size();
                    if (oneWord) {
                        continue;
                    }
                    if ((inside && match.fromInclusive() <= afterLeadIn(start))
                            || (parts.isLastClause(parts.clauseOf(match.fromInclusive()))
                                    && parts.clauseOf(match.fromInclusive()) != clause
                                    && !isShapedLikeQuestion(start))) {
                        return true;
                    }
                }
                case "answered" -> {
                    if (goesOn) {
                        return true;
                    }
                }
                case "reported" -> {
                    if (match.fromInclusive() < start || !isShapedLikeQuestion(start)) {
                        return true;
                    }
                }
                case "courtesy", "courtesy-if" -> {
                    if (!isShapedLikeQuestion(start) && parts.isLastClause(parts.clauseOf(match.fromInclusive()))) {
                        return true;
                    }
                    if (match.label().equals("courtesy-if") && isCourtesyQuestion(match)) {
                        return true;
                    }
                }
                default -> {}
            }
        }
        return false;
    }

    /** "If you have any questions, could you call me?" is none either. */
    private boolean isCourtesyQuestion(PhraseMatch match) {
        return parts.unitOf(match.fromInclusive()) == parts.unitOf(sentence.size() - 1) && match.fromInclusive() == 0;
    }
}
