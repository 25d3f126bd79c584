package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.rule.RuleBook;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordClass;

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
     * @param because the rule that says so
     * @param passed rules that held before it and sent on
     */
    record Dated(DatePhrase phrase, Role role, int lead, boolean firm, Rule because, List<Rule> passed) {}

    private final Sentence sentence;
    private final Parts parts;
    private final List<PhraseMatch> acts;
    private final DateContext context;
    private final Softness softness;
    private final RuleBook rules;

    DateRoles(Sentence sentence, Parts parts, List<PhraseMatch> acts, DateContext context, RuleBook rules) {
        this.rules = rules;
        this.sentence = sentence;
        this.parts = parts;
        this.acts = acts;
        this.context = context;
        this.softness = new Softness(sentence, parts, acts);
    }

    /** The dates of a sentence that are not somebody else's words, each with what it is for. */
    static List<Dated> in(ReadSentence read, DateContext context) {
        return in(read, context, read.language().purposes());
    }

    static List<Dated> in(ReadSentence read, DateContext context, RuleBook rules) {
        if (read.dates().isEmpty()) {
            return List.of();
        }
        DateRoles roles = new DateRoles(read.sentence(), read.parts(), read.acts(), context, rules);
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
        for (SentenceAsks.FoundAsk ask : read.found()) {
            boolean having = ask.kind() == Ask.Kind.NEED || ask.kind() == Ask.Kind.WISH;
            if (having && ask.from() < phrase.fromInclusive()) {
                return true;
            }
        }
        return false;
    }

    /**
     * What a date is for.
     *
     * @param dates how many dates the sentence has
     * @param needed whether the ask before the date is one of having something
     */
    Dated roleOf(DatePhrase phrase, int dates, boolean needed) {
        DateSetting setting = new DateSetting(
                sentence, parts, phrase, phrase.fromInclusive(), condition -> holds(condition, phrase, needed));
        RuleBook.Found found =
                rules.decide(setting).orElseThrow(() -> new IllegalStateException("No rule for a date without any"));
        Rule rule = found.rule();
        boolean firm = softness.isHard(phrase) || !(isVague(phrase) || softness.isSoftened(phrase, dates));
        DatePhrase meant = rule.gives().equals("day before") ? phrase.before(context) : phrase;
        Role role = roleIn(rule);
        boolean led = role == Role.STATED && found.begin() == phrase.fromInclusive();
        return new Dated(meant, role, led ? leadOf(phrase) : found.begin(), firm, rule, found.passed());
    }

    private boolean holds(String condition, DatePhrase phrase, boolean needed) {
        return switch (condition) {
            case "question" -> sentence.isQuestion();
            case "who" -> sentence.at(0).is("who", "who's");
            case "hard" -> softness.isHard(phrase);
            case "softened" -> isSoftenedPeriod(phrase);
            case "needed" -> needed || isSoftenedPeriod(phrase);
            case "asked" -> isDoneBefore(phrase, act -> SentenceAsks.isAsk(act.label()));
            case "requested" -> isDoneBefore(phrase, act -> act.label().equals("request"));
            case "said" -> isSaidBefore(phrase);
            default -> throw new IllegalStateException("No rule can hold when " + condition);
        };
    }

    /** "some time next week". */
    private boolean isSoftenedPeriod(DatePhrase phrase) {
        return phrase.form() == DatePhrase.Form.PERIOD && softness.isRightBehindSoftening(phrase);
    }

    /** Whether something of that kind is done before the date, in the same part of the sentence. */
    private boolean isDoneBefore(DatePhrase phrase, Predicate<PhraseMatch> kind) {
        int unit = parts.unitOf(phrase.fromInclusive());
        return acts.stream()
                .anyMatch(act -> act.fromInclusive() < phrase.fromInclusive()
                        && parts.unitOf(act.fromInclusive()) == unit
                        && kind.test(act));
    }

    /** Whether the clause of the date says something before it. */
    private boolean isSaidBefore(DatePhrase phrase) {
        int telling = 0;
        for (int i = parts.firstOfClause(parts.clauseOf(phrase.fromInclusive())); i < phrase.fromInclusive(); i++) {
            telling += WordClass.SMALL.has(sentence, i) ? 0 : 1;
        }
        return telling > 1;
    }

    private static Role roleIn(Rule rule) {
        return switch (rule.gives()) {
            case "stated", "day before" -> Role.STATED;
            case "tied" -> Role.TIED;
            case "event" -> Role.EVENT;
            case "mention" -> Role.MENTION;
            default -> throw new IllegalStateException("A date cannot be " + rule.gives());
        };
    }

    /** "Deadline: Friday", "due on Friday": the word that leads to a date, whatever it is. */
    private int leadOf(DatePhrase phrase) {
        int i = phrase.fromInclusive() - 1;
        while (i >= 0
                && WordClass.BETWEEN.has(sentence, i)
                && !sentence.at(i + 1).isCutOff()) {
            i--;
        }
        return i < 0 || sentence.at(i + 1).isCutOff() ? phrase.fromInclusive() : i;
    }

    /** "by about Friday", "say, Friday". */
    private boolean isVague(DatePhrase phrase) {
        boolean vague = false;
        for (int i = phrase.fromInclusive() - 1;
                i >= 0
                        && WordClass.BETWEEN.has(sentence, i)
                        && !sentence.at(i + 1).isCutOff();
                i--) {
            vague |= WordClass.ROUGHLY.has(sentence, i) || (sentence.norm(i).equals("say") && sentence.startsPart(i));
        }
        return vague;
    }
}
