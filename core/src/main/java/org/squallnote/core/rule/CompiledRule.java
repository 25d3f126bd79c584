package org.squallnote.core.rule;

import java.util.List;
import org.squallnote.core.text.Lexicon;
import org.squallnote.core.text.Sentence;

/** A rule, ready to be tried. */
final class CompiledRule {

    private static final int FAILED = -1;

    private final Rule rule;
    private final Pattern[] takes;
    private final Pattern[] not;
    private final String[] when;

    /** @param marked whether its patterns are tried at a word marked with {@code @} and not at the date */
    CompiledRule(Rule rule, boolean marked, Lexicon lexicon) {
        this.rule = rule;
        this.takes = compiled(rule.takes(), marked, lexicon);
        this.not = compiled(rule.not(), marked, lexicon);
        this.when = rule.when().toArray(String[]::new);
    }

    private static Pattern[] compiled(List<String> lines, boolean marked, Lexicon lexicon) {
        return lines.stream().map(line -> new Pattern(line, marked, lexicon)).toArray(Pattern[]::new);
    }

    Rule rule() {
        return rule;
    }

    /** Whether it may hold in a sentence, as far as the words that stand there tell. */
    boolean mayHoldIn(Sentence sentence) {
        for (Pattern pattern : takes) {
            if (pattern.mayMatchIn(sentence)) {
                return true;
            }
        }
        return false;
    }

    /** Where the words begin that it speaks of, tried at a place; negative where it does not hold. */
    int at(Setting setting, int place) {
        int begin = FAILED;
        for (int i = 0; i < takes.length && begin < 0; i++) {
            begin = takes[i].at(setting, place);
        }
        return begin < 0 || !isAllowed(setting) || isDenied(setting, place) ? FAILED : begin;
    }

    private boolean isAllowed(Setting setting) {
        for (String condition : when) {
            boolean wanted = !condition.startsWith("!");
            if (setting.holds(wanted ? condition : condition.substring(1)) != wanted) {
                return false;
            }
        }
        return true;
    }

    private boolean isDenied(Setting setting, int place) {
        for (Pattern pattern : not) {
            if (pattern.at(setting, place) >= 0) {
                return true;
            }
        }
        return false;
    }
}
