package org.squallnote.core.reading;

import java.util.List;
import java.util.Optional;
import org.squallnote.core.reading.DateRoles.Dated;
import org.squallnote.core.reading.DateRoles.Role;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.rule.RuleBook;
import org.squallnote.core.text.Sentence;

/** Decides whether a sentence that asks nothing itself sets the day of an ask beside it. */
final class DatedSentences {

    private DatedSentences() {}

    /** The rule by which a date counts; empty where it does not. */
    static Optional<Rule> because(ReadSentence read, Dated dated, boolean afterAsk) {
        return decide(read, dated, afterAsk, read.language().besides())
                .filter(rule -> rule.gives().equals("sets"));
    }

    /** The rule that decides about a date, for or against it. */
    static Optional<Rule> decide(ReadSentence read, Dated dated, boolean afterAsk, RuleBook rules) {
        return rules.decide(setting(read, dated, afterAsk)).map(RuleBook.Found::rule);
    }

    /** Whether a sentence in front of an ask goes with it: "if possible by Friday", "I have to tell them by Friday". */
    static boolean leadsUp(ReadSentence read, List<Dated> dates) {
        return read.acts().stream()
                        // "Tuesday is fine. But please come in by the back door": an appointment.
                        .anyMatch(act -> act.label().equals("soft")
                                && !act.origin().name().equals("soft.fine"))
                || dates.stream()
                        .anyMatch(dated -> read.language()
                                .besides()
                                .in("needed-for", setting(read, dated, true))
                                .isPresent());
    }

    /** The rule by which others need something on a date, in a part of a sentence beside an ask. */
    static Optional<Rule> neededByOthers(ReadSentence read, Dated dated) {
        return read.language()
                .besides()
                .in("needed", setting(read, dated, true))
                .map(RuleBook.Found::rule);
    }

    private static DateSetting setting(ReadSentence read, Dated dated, boolean afterAsk) {
        return new DateSetting(
                read.sentence(),
                read.parts(),
                dated.phrase(),
                dated.lead(),
                condition -> holds(condition, read, dated, afterAsk));
    }

    private static boolean holds(String condition, ReadSentence read, Dated dated, boolean afterAsk) {
        return switch (condition) {
            case "after-ask" -> afterAsk;
            case "mention" -> dated.role() == Role.MENTION;
            case "stated" -> dated.role() == Role.STATED;
            case "on-a-day" -> dated.role() == Role.STATED || dated.role() == Role.TIED || isAtThatTime(read, dated);
            case "until" -> isUntil(read.sentence(), dated.lead());
            case "plan" -> WriterPlans.isPlanOfWriter(read, dated);
            case "closing", "promise", "holding" -> read.has(condition);
            default -> throw new IllegalStateException("No rule can hold when " + condition);
        };
    }

    /** "I have to tell him at lunch tomorrow". */
    private static boolean isAtThatTime(ReadSentence read, Dated dated) {
        return dated.phrase().time().isPresent()
                && read.sentence().norm(dated.phrase().fromInclusive() - 1).equals("at");
    }

    private static boolean isUntil(Sentence sentence, int lead) {
        return sentence.norm(lead).startsWith("until") || sentence.norm(lead).startsWith("till");
    }
}
