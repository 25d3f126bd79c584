package org.squallnote.core.reading;

import java.util.List;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DateLeads;
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

    /** A line such as "numbers today please" has at most so many words before the last one. */
    private static final int LONGEST_BARE = 5;

    private static final WordSet VAGUE =
            WordSet.of("about", "around", "roughly", "approximately", "circa", "towards", "toward");

    static final WordSet SKIPPED = WordSet.of(
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

    /** "send me the file back for Thursday": the day of the giving, as behind a pronoun. */
    private static final WordSet DONE = WordSet.of("back", "over", "ready", "done", "through");

    /** "We need two people for Saturday." */
    private static final WordSet HELPERS = Phrases.BOOK.set("helpers");

    /** "an answer for Friday". */
    private static final WordSet ANSWERS = WordSet.of("answer", "reply", "decision", "response", "yes", "verdict");

    private static final WordSet NEEDING = WordSet.of("need", "needs", "needed", "want", "wants");

    /** Past forms that do not end in "ed". */
    static final WordSet PRONOUNS =
            WordSet.of("it", "them", "this", "that", "these", "those", "one", "all", "everything");

    private final Sentence sentence;
    private final Parts parts;
    private final DateContext context;
    private final Softness softness;
    private final GovernedDates governed;
    private final IdleDates idle;

    DateRoles(Sentence sentence, Parts parts, List<PhraseMatch> acts, DateContext context) {
        this.sentence = sentence;
        this.parts = parts;
        this.context = context;
        this.softness = new Softness(sentence, parts, acts);
        this.governed = new GovernedDates(sentence, parts, acts);
        this.idle = new IdleDates(sentence, parts);
    }

    Dated roleOf(DatePhrase phrase, int dates, boolean needed) {
        int k = phrase.fromInclusive() - 1;
        boolean vague = false;
        while (k >= 0 && SKIPPED.has(sentence, k) && !isEdge(k + 1)) {
            vague |= VAGUE.has(sentence, k) || (sentence.norm(k).equals("say") && sentence.startsPart(k));
            k--;
        }
        if (k >= 0 && isEdge(k + 1)) {
            k = Math.min(k, phrase.fromInclusive() - 1);
        }
        String lead = k >= 0 && !isEdge(k + 1) ? DateLeads.at(sentence, k) : "";
        int event = EventLeads.beforeEvent(sentence, phrase.fromInclusive());
        if (event >= 0 && parts.unitOf(event) == parts.unitOf(phrase.fromInclusive())) {
            k = event;
            lead = DateLeads.at(sentence, k);
        }
        boolean hard = softness.isHard(phrase);
        Role role = role(phrase, k, lead, hard, needed);
        DatePhrase meant = lead.equals("before") && role == Role.STATED ? phrase.before(context) : phrase;
        boolean evening = sentence.at(phrase.toExclusive() - 1).is("evening", "night", "tonight")
                || sentence.norm(phrase.toExclusive()).equals("evening's");
        boolean out = phrase.form() == Form.END
                && sentence.at(phrase.toExclusive() - 1).is("out", "over", "up", "through", "done");
        if (lead.equals("before") && (evening || out || sentence.norm(k - 1).equals("or"))) {
            meant = phrase;
        }
        boolean firm = hard || !(vague || softness.isSoftened(phrase, dates));
        int start = role == Role.STATED && !lead.isEmpty() ? k : phrase.fromInclusive();
        return new Dated(meant, role, Math.max(0, start), firm);
    }

    /** "numbers today please": a thing and a day, without a verb. */
    private boolean isWantedThen(DatePhrase phrase) {
        int last = sentence.size() - 1;
        int to = phrase.toExclusive();
        boolean bare = sentence.norm(last).equals("please")
                && (to == last || sentence.at(to).followsMark())
                && last <= LONGEST_BARE
                && !sentence.isQuestion();
        for (int i = 0; bare && i < phrase.fromInclusive(); i++) {
            boolean more = Phrases.EVENT.has(sentence, i)
                    || Phrases.HAPPENING.has(sentence, i)
                    || Phrases.MODAL.has(sentence, i)
                    || Phrases.IMPERATIVE.has(sentence, i);
            bare = !more;
        }
        return bare && phrase.fromInclusive() > 0;
    }

    private boolean isEdge(int at) {
        char mark = at < sentence.size() && at > 0 ? sentence.at(at).before() : ' ';
        return mark != ' ' && mark != '"' && mark != ':';
    }

    private Role role(DatePhrase phrase, int k, String lead, boolean hard, boolean needed) {
        if (phrase.form() == Form.PAST || idle.isMention(k, phrase)) {
            return Role.MENTION;
        }
        if (idle.isAskedAbout(phrase)) {
            return Role.EVENT;
        }
        if (hard || isDueBefore(phrase) || isWantedThen(phrase)) {
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
            case "from", "since", "of", "as", "starting", "following", "dated" -> {
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
        if (phrase.form() == Form.PERIOD && softness.isRightBehindSoftening(phrase)) {
            // "Can we talk about it some time next week?"
            return governed.role(phrase, true);
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
            return sentence.norm(phrase.fromInclusive() + 1).equals("or") ? governed.role(phrase, needed) : Role.EVENT;
        }
        if (isAtEdge(phrase) && isAlone(phrase)) {
            // "Friday?" proposes a day.
            return sentence.isQuestion() && sentence.size() <= 3 ? Role.EVENT : Role.TIED;
        }
        return governed.role(phrase, needed);
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
        if (HELPERS.has(sentence, k - 1)) {
            return Role.EVENT;
        }
        if (PRONOUNS.has(sentence, k - 1) || DONE.has(sentence, k - 1)) {
            return needs || gives ? Role.TIED : Role.EVENT;
        }
        return needs && phrase.form() != Form.PERIOD ? Role.TIED : Role.EVENT;
    }
}
