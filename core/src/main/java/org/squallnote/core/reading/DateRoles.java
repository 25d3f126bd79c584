package org.squallnote.core.reading;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Clauses;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Decides what the dates of a sentence are for: a deadline that is stated, a day tied to giving something, an event. */
final class DateRoles {

    /** What a date is for. */
    enum Role {
        /** "by Friday", "the deadline is the 14th", "within two days". */
        STATED,
        /** "send it on Friday", "I need it for Friday". */
        TIED,
        /** "the meeting on Thursday", "could we meet on Monday". */
        EVENT,
        /** "since Monday", "the invoice of 3 March". */
        MENTION
    }

    /**
     * A date with its role.
     *
     * @param phrase the date, "before" taken into account
     * @param role what it is for
     * @param lead index of the first word that belongs to it, such as "by"
     * @param firm whether it is not softened
     */
    record Dated(DatePhrase phrase, Role role, int lead, boolean firm) {}

    private static final WordSet VAGUE =
            WordSet.of("about", "around", "roughly", "approximately", "circa", "towards", "toward");
    private static final WordSet SKIPPED = WordSet.of(
            "about",
            "around",
            "roughly",
            "approximately",
            "circa",
            "towards",
            "toward",
            "the",
            "very",
            "say",
            "ideally",
            "preferably",
            "perhaps",
            "maybe",
            "latest",
            "back",
            "just");
    private static final WordSet DEADLINE_NOUNS = WordSet.of(
            "deadline",
            "due",
            "cut-off",
            "cutoff",
            "deadline's",
            "closing",
            "latest",
            "expires",
            "closes",
            "required",
            "needed",
            "wanted");
    private static final WordSet STAYING = WordSet.of(
            "open",
            "closed",
            "away",
            "out",
            "valid",
            "available",
            "here",
            "off",
            "leave",
            "busy",
            "holds",
            "held",
            "hold",
            "booked",
            "in",
            "stay",
            "stays",
            "runs",
            "lasts",
            "wait",
            "waiting",
            "continue",
            "keep",
            "works",
            "working",
            "travelling",
            "traveling",
            "not",
            "nothing",
            "never",
            "holiday",
            "vacation",
            "abroad",
            "up",
            "down",
            "good",
            "there",
            "sits",
            "till",
            "shut",
            "back",
            "extended");
    private static final WordSet SUITING =
            WordSet.of("works", "work", "suits", "suit", "fits", "fit", "convenient", "possible", "ok", "okay");
    private static final WordSet FINE =
            WordSet.of("fine", "ok", "okay", "soon", "early", "plenty", "enough", "good", "great", "lovely", "perfect");
    /** "print twenty maps for tomorrow": what is made then, not "the menu for tomorrow". */
    private static final WordSet MADE = WordSet.of(
            "print", "prepare", "make", "bring", "copy", "bake", "pack", "buy", "get", "draft", "write", "design");

    /** What stands between an event and its day; "the ferry people today" has another noun there. */
    private static final WordSet BEHIND_A_NOUN = WordSet.of(
            "on", "at", "in", "of", "for", "with", "from", "to", "this", "next", "is", "and", "or", "here", "there");

    /** "Do you have time on Friday?" */
    private static final WordSet HAPPENS = happens();

    /** What may stand behind a noun that is the head of its group: not so in "the ferry people today". */
    private static final WordSet HEADS = heads();

    /** "send me the file back for Thursday": the day of the giving, as behind a pronoun. */
    private static final WordSet DONE = WordSet.of("back", "over", "ready", "done", "through");

    /** "an answer for Friday". */
    private static final WordSet ANSWERS = WordSet.of("answer", "reply", "decision", "response", "yes", "verdict");

    private static final WordSet AWAITED = WordSet.of("due", "needed", "supposed");

    private static final WordSet WANTING = WordSet.of("need", "want", "require", "like", "love", "prefer", "appreciate", "must", "should");

    private static final WordSet USING = WordSet.of("have", "use", "borrow", "rent", "hire");

    private static final WordSet NEEDING = WordSet.of("need", "needs", "needed", "want", "wants");

    private static final WordSet TELLING_NOTHING =
            WordSet.of("if", "possible", "on", "at", "for", "can", "you", "in", "some", "time");

    private static final WordSet FREE = WordSet.of("time", "room", "space", "capacity", "anything", "plans");

    private static final WordSet HAVING =
            WordSet.of("have", "get", "receive", "know", "hear", "see", "having", "getting");

    private static final WordSet SUBJECTS = WordSet.of(
            "i", "you", "we", "he", "she", "they", "who", "which", "that", "it", "has", "have", "had", "was", "were");

    /** Past forms that do not end in "ed". */
    private static final WordSet PAST = WordSet.of(
            "made", "sent", "gave", "wrote", "told", "said", "brought", "took", "got", "found", "saw", "met", "had",
            "did", "came", "went", "bought", "left", "showed", "held", "paid", "spoke");

    private static final WordSet PRONOUNS =
            WordSet.of("it", "them", "this", "that", "these", "those", "one", "all", "everything");

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> acts;
    private final DateContext context;

    DateRoles(Sentence sentence, Parts parts, List<PhraseMatch> acts, DateContext context) {
        this.sentence = sentence;
        this.parts = parts;
        this.acts = acts;
        this.context = context;
    }

    Dated roleOf(DatePhrase phrase, int dates, boolean needed) {
        int k = phrase.fromInclusive() - 1;
        boolean vague = false;
        while (k >= 0 && SKIPPED.has(sentence, k) && !isEdge(k + 1)) {
            vague |= VAGUE.has(sentence, k)
                    || (sentence.norm(k).equals("say") && sentence.startsPart(k));
            k--;
        }
        if (k >= 0 && isEdge(k + 1)) {
            k = Math.min(k, phrase.fromInclusive() - 1);
        }
        String lead = k >= 0 && !isEdge(k + 1) ? sentence.norm(k) : "";
        boolean hard = isHard(phrase);
        Role role = role(phrase, k, lead, hard, needed);
        DatePhrase meant = lead.equals("before") && role == Role.STATED ? phrase.before(context) : phrase;
        boolean evening = sentence.at(phrase.toExclusive() - 1).is("evening", "night", "tonight")
                || sentence.norm(phrase.toExclusive()).equals("evening's");
        boolean out = phrase.form() == Form.END
                && sentence.at(phrase.toExclusive() - 1).is("out", "over", "up", "through", "done");
        if (lead.equals("before") && (evening || out || sentence.norm(k - 1).equals("or"))) {
            meant = phrase;
        }
        boolean firm = hard || !(vague || isSoftened(phrase, dates));
        int start = role == Role.STATED && !lead.isEmpty() ? k : phrase.fromInclusive();
        return new Dated(meant, role, Math.max(0, start), firm);
    }

    private boolean isEdge(int at) {
        char mark = at < sentence.size() && at > 0 ? sentence.at(at).before() : ' ';
        return mark != ' ' && mark != '"' && mark != ':';
    }

    private Role role(DatePhrase phrase, int k, String lead, boolean hard, boolean needed) {
        if (phrase.form() == Form.PAST || isMissed(phrase)) {
            return Role.MENTION;
        }
        if (hard || isDueBefore(phrase)) {
            return Role.STATED;
        }
        switch (lead) {
            case "by" -> {
                return sentence.norm(k - 1).equals("stand") ? Role.MENTION : Role.STATED;
            }
            case "before" -> {
                return sentence.norm(k - 1).equals("day")
                                || sentence.norm(k - 1).equals("week")
                                || sentence.norm(k - 1).equals("as")
                        ? Role.MENTION
                        : Role.STATED;
            }
            case "than", "within" -> {
                return Role.STATED;
            }
            case "until", "till" -> {
                return until(k);
            }
            case "after" -> {
                return isTooLateThen(phrase.toExclusive()) ? Role.STATED : Role.MENTION;
            }
            case "from", "since", "of", "as", "starting", "following" -> {
                return Role.MENTION;
            }
            case "for" -> {
                return forDate(phrase, k);
            }
            case "to" -> {
                return Role.EVENT;
            }
            default -> {}
        }
        if (sentence.norm(phrase.toExclusive()).equals("is")
                && sentence.norm(phrase.toExclusive() + 1).equals("when")) {
            return Role.STATED;
        }
        if (sentence.norm(phrase.toExclusive()).equals("off")) {
            return Role.EVENT;
        }
        if (isByTheTime(phrase)) {
            return Role.STATED;
        }
        if (isSubjectOfSuiting(phrase)) {
            return Role.EVENT;
        }
        if ((phrase.form() == Form.PERIOD || phrase.form() == Form.END) && isFine(phrase.toExclusive())) {
            return Role.TIED;
        }
        if (phrase.form() == Form.PERIOD && isRightBehindSoftening(phrase)) {
            // "Can we talk about it some time next week?"
            return governed(phrase, true);
        }
        if (phrase.form() == Form.STRETCH
                && (sentence.norm(phrase.fromInclusive()).equals("within")
                        || sentence.norm(phrase.toExclusive()).equals("to"))) {
            return Role.STATED;
        }
        if (isAttributive(phrase)) {
            return Role.EVENT;
        }
        if (lead.equals("at") && phrase.time().isPresent()) {
            return isBeforeThat(k) ? Role.STATED : Role.EVENT;
        }
        if (phrase.form() == Form.RANGE
                && !sentence.norm(phrase.fromInclusive() - 1).equals("between")) {
            return sentence.norm(phrase.fromInclusive() + 1).equals("or") ? governed(phrase, needed) : Role.EVENT;
        }
        if (isAtEdge(phrase) && isAlone(phrase)) {
            // "Friday?" proposes a day.
            return sentence.isQuestion() && sentence.size() <= 3 ? Role.EVENT : Role.TIED;
        }
        return governed(phrase, needed);
    }

    /** "It should have reached us by 15 May", "it was due on the 4th": a day that has passed, whatever the year. */
    private boolean isMissed(DatePhrase phrase) {
        int unit = parts.unitOf(phrase.fromInclusive());
        for (int i = phrase.fromInclusive() - 1; i > 0 && parts.unitOf(i) == unit; i--) {
            boolean should =
                    sentence.norm(i).equals("have") && sentence.at(i - 1).is("should", "ought", "supposed");
            boolean was = AWAITED.has(sentence, i) && sentence.at(i - 1).is("was", "were");
            if (should || was) {
                return true;
            }
        }
        return false;
    }

    /** "ring them before they close at half five". */
    private boolean isBeforeThat(int at) {
        for (int i = at - 1; i >= Math.max(0, at - 5) && parts.clauseOf(i) == parts.clauseOf(at); i--) {
            if (sentence.norm(i).equals("before")) {
                return true;
            }
        }
        return false;
    }

    /** "After Friday it's too late." */
    private boolean isTooLateThen(int from) {
        for (int i = from; i < Math.min(sentence.size() - 1, from + 5); i++) {
            if (sentence.norm(i).equals("too") && sentence.norm(i + 1).equals("late")) {
                return true;
            }
        }
        return false;
    }

    /** "by the time I leave on Friday". */
    private boolean isByTheTime(DatePhrase phrase) {
        int unit = parts.unitOf(phrase.fromInclusive());
        for (int i = phrase.fromInclusive() - 1; i >= 2 && parts.unitOf(i) == unit; i--) {
            if (sentence.norm(i).equals("time")
                    && sentence.norm(i - 1).equals("the")
                    && sentence.norm(i - 2).equals("by")) {
                return true;
            }
        }
        return false;
    }

    /** "if Friday works", "whether the 24th suits you": a day on which something is to be. */
    private boolean isSubjectOfSuiting(DatePhrase phrase) {
        String before = sentence.norm(phrase.fromInclusive() - 1);
        String next = sentence.norm(phrase.toExclusive());
        boolean open =
                before.equals("if") || before.equals("whether") || before.equals("does") || before.equals("would");
        return open
                && (SUITING.has(sentence, phrase.toExclusive())
                        || (next.equals("is")
                                && !sentence.norm(phrase.toExclusive() + 1).equals("the"))
                        || next.equals("'s"));
    }

    /** "next week is fine", "end of the month will do". */
    private boolean isFine(int at) {
        String verb = sentence.norm(at);
        if (verb.equals("will") && sentence.norm(at + 1).equals("do")) {
            return true;
        }
        int adjective = verb.equals("is") ? at + 1 : verb.equals("would") || verb.equals("will") ? at + 2 : -1;
        return adjective > 0 && (FINE.has(sentence, adjective) || FINE.has(sentence, adjective + 1));
    }

    /** "the Thursday meeting": a day between an article and a noun. */
    private boolean isAttributive(DatePhrase phrase) {
        int to = phrase.toExclusive();
        if (to >= sentence.size() || sentence.at(to).followsMark()) {
            return false;
        }
        if (Phrases.EVENT.has(sentence, to)) {
            return true;
        }
        String before = sentence.norm(phrase.fromInclusive() - 1);
        String first = sentence.norm(phrase.fromInclusive());
        boolean determined = before.equals("the")
                || before.equals("your")
                || before.equals("my")
                || before.equals("our")
                || before.equals("his")
                || before.equals("her")
                || (first.equals("the") && phrase.time().isEmpty() && phrase.form() == Form.DAY);
        boolean functionWord = sentence.norm(to).length() <= 3 || NotNames.isOne(sentence, to);
        return determined && !functionWord;
    }

    private boolean isAtEdge(DatePhrase phrase) {
        int to = phrase.toExclusive();
        boolean please = to == sentence.size() - 1 && sentence.norm(to).equals("please");
        return please || to >= sentence.size() || sentence.at(to).followsMark();
    }

    /** Whether the date is all that its clause says: "Friday, please". */
    private boolean isAlone(DatePhrase phrase) {
        int clause = parts.clauseOf(phrase.fromInclusive());
        for (int i = parts.firstOfClause(clause); i < phrase.fromInclusive(); i++) {
            String norm = sentence.norm(i);
            if (!Clauses.isLeadIn(sentence, i)
                    && !norm.equals("on")
                    && !norm.equals("by")
                    && !SKIPPED.has(sentence, i)) {
                return false;
            }
        }
        return parts.clauseOf(phrase.fromInclusive()) > 0 || sentence.size() - phrase.toExclusive() <= 3;
    }

    /** "the deadline is", "due on", "needed back by": up to four words before. */
    private boolean isDueBefore(DatePhrase phrase) {
        boolean named = false;
        for (int i = phrase.fromInclusive() - 1; i >= Math.max(0, phrase.fromInclusive() - 9); i--) {
            String norm = sentence.norm(i);
            if ((named || i < phrase.fromInclusive() - 5) && !norm.equals("deadline")) {
                continue;
            }
            if (DEADLINE_NOUNS.has(sentence, i)) {
                boolean closes = norm.equals("closes") || norm.equals("expires");
                boolean version = norm.equals("latest") && i < phrase.fromInclusive() - 2;
                return !closes && !version;
            }
            named |= Phrases.EVENT.has(sentence, i);
            if (sentence.at(i).before() == ',' && i < phrase.fromInclusive() - 1) {
                return false;
            }
        }
        return false;
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

    private Role until(int k) {
        for (int i = k - 1; i >= 0 && parts.unitOf(i) == parts.unitOf(k); i--) {
            boolean handedIn = sentence.norm(i).equals("in")
                    && (PRONOUNS.has(sentence, i - 1) || Phrases.GIVING.has(sentence, i - 1));
            if (STAYING.has(sentence, i) && !handedIn) {
                return Role.MENTION;
            }
            if (Phrases.GIVING.has(sentence, i)
                    || sentence.at(i).is("do", "make", "manage", "needs", "wants", "requires")) {
                return Role.STATED;
            }
        }
        return k == 0 || Phrases.OBJECT.has(sentence, k - 1) ? Role.STATED : Role.MENTION;
    }

    /** "I need it for Friday" sets a day; "the menu for Friday" names one. */
    private Role forDate(DatePhrase phrase, int k) {
        boolean needs = false;
        boolean gives = false;
        boolean made = false;
        boolean named = false;
        for (int i = k - 1; i >= 0 && parts.unitOf(i) == parts.unitOf(k); i--) {
            String norm = sentence.norm(i);
            needs |= NEEDING.has(sentence, i);
            gives |= Phrases.GIVING.has(sentence, i);
            made |= !named && MADE.has(sentence, i);
            named |= norm.equals("the") || norm.equals("your") || norm.equals("our") || norm.equals("my");
        }
        if (made) {
            return Role.TIED;
        }
        if (ANSWERS.has(sentence, k - 1)) {
            return Role.TIED;
        }
        if (PRONOUNS.has(sentence, k - 1) || DONE.has(sentence, k - 1)) {
            return needs || gives ? Role.TIED : Role.EVENT;
        }
        return needs && phrase.form() != Form.PERIOD ? Role.TIED : Role.EVENT;
    }

    /** The nearest word before the date that gives, happens or names an event decides. */
    private Role governed(DatePhrase phrase, boolean needed) {
        int unit = parts.unitOf(phrase.fromInclusive());
        int start = phrase.fromInclusive() - 1;
        boolean needsHere = false;
        for (int i = start; i >= 0 && parts.unitOf(i) == unit; i--) {
            String norm = sentence.norm(i);
            boolean near = start - i <= 2;
            boolean place = sentence.norm(i - 1).equals("at");
            boolean head = i == start || HEADS.has(sentence, i + 1);
            if (near && head && !place && Phrases.EVENT.has(sentence, i) && !Phrases.GIVING.has(sentence, i)) {
                return Role.EVENT;
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
                    || isDoneByThen(i)
                    || isAskedOfTheWriter(i)) {
                return Role.EVENT;
            }
            if (norm.equals("see") && sentence.norm(i + 1).equals("you")) {
                return Role.EVENT;
            }
            if (isLeaving(i)) {
                return Role.TIED;
            }
            if (sentence.norm(i - 2).equals("before") && Phrases.HAPPENING.has(sentence, i)) {
                // "send it before you go home today": the day of sending as well.
                i -= 2;
                continue;
            }
            if (HAPPENS.has(sentence, i) && isVerbHere(i) && !(needed && norm.equals("be"))) {
                return Role.EVENT;
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
            boolean small =
                    Clauses.isLeadIn(sentence, i) || SKIPPED.has(sentence, i) || TELLING_NOTHING.has(sentence, i);
            telling += small ? 0 : 1;
        }
        return telling > 1;
    }

    /** A date in front of its verb: "on Friday please send me …". */
    private Role followed(DatePhrase phrase, int unit) {
        for (int i = phrase.toExclusive();
                i < Math.min(sentence.size(), phrase.toExclusive() + 6) && parts.unitOf(i) == unit;
                i++) {
            if (Phrases.HAPPENING.has(sentence, i)) {
                return Role.EVENT;
            }
            if (Phrases.GIVING.has(sentence, i)) {
                return Role.TIED;
            }
        }
        return Role.EVENT;
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
                && !sentence.at(Math.max(0, i - 2)).is("have", "has", "had")
                && !sentence.at(i).is("wanted", "needed", "liked");
    }

    /** "Can I call you on Friday?", "Do we need to bring anything on Friday?" ask about a day of the writer. */
    private boolean isAskedOfTheWriter(int i) {
        if (!Phrases.GIVING.has(sentence, i) || HAVING.has(sentence, i)) {
            return false;
        }
        boolean obliged = sentence.norm(i - 1).equals("to");
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
                || before.equals("this"));
    }

    private boolean isHard(DatePhrase phrase) {
        for (PhraseMatch act : acts) {
            boolean after = act.fromInclusive() == phrase.toExclusive();
            boolean before =
                    act.toExclusive() <= phrase.fromInclusive() && act.toExclusive() >= phrase.fromInclusive() - 2;
            boolean overlaps =
                    act.fromInclusive() < phrase.fromInclusive() && act.toExclusive() > phrase.fromInclusive() - 1;
            boolean states = act.label().equals("hard") || act.label().equals("closing");
            if (states && (after || before || overlaps)) {
                return true;
            }
        }
        return sentence.norm(phrase.toExclusive()).equals("latest");
    }

    /** "if you find the time this week". */
    private boolean isRightBehindSoftening(DatePhrase phrase) {
        for (PhraseMatch act : acts) {
            if (act.label().equals("soft") && act.toExclusive() == phrase.fromInclusive()) {
                return true;
            }
        }
        return false;
    }

    /** "Let me know by Friday if that works": the condition is the question. */
    private boolean isWhatIsAsked(PhraseMatch soft) {
        int from = soft.fromInclusive();
        if (!sentence.norm(from).equals("if") || !PRONOUNS.has(sentence, from + 1)) {
            return false;
        }
        for (int i = from - 1; i >= 0 && parts.unitOf(i) == parts.unitOf(from); i--) {
            if (sentence.at(i).is("know", "tell", "confirm", "say", "ask")) {
                return true;
            }
        }
        return false;
    }

    /** Softened by a word of its sentence; where there are several dates, the nearest one is meant. */
    private boolean isSoftened(DatePhrase phrase, int dates) {
        for (PhraseMatch act : acts) {
            if (act.label().equals("soft") && !isWhatIsAsked(act)) {
                boolean sameClause = parts.clauseOf(act.fromInclusive()) == parts.clauseOf(phrase.fromInclusive());
                boolean adjacent = act.fromInclusive() == phrase.toExclusive()
                        || (act.toExclusive() >= phrase.fromInclusive() - 2
                                && act.toExclusive() <= phrase.fromInclusive());
                boolean ofSomethingElse = !sameClause
                        && act.toExclusive() < sentence.size()
                        && sentence.at(act.toExclusive()).is("with", "including", "together", "as", "signed");
                if (!ofSomethingElse && (dates == 1 || sameClause || adjacent)) {
                    return true;
                }
            }
        }
        return false;
    }
}
