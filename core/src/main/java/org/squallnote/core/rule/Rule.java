package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.List;

/**
 * A rule, as it stands in a file.
 *
 * @param id its name, which also groups it: {@code stated.by}
 * @param takes it holds where one of these matches
 * @param not and none of these
 * @param when and these conditions hold; one with {@code !} in front must not
 * @param gives what it says
 * @param yes sentences for which it decides
 * @param no sentences for which it does not
 */
public record Rule(
        String id,
        List<Pattern> takes,
        List<Pattern> not,
        List<String> when,
        String gives,
        List<String> yes,
        List<String> no) {

    /** Its name and its first example. */
    public Reason reason() {
        return new Reason(id, yes.get(0));
    }

    /** Where the words begin that it speaks of, tried at a place; negative where it does not hold. */
    int at(Setting setting, int place) {
        int begin = -1;
        for (Pattern pattern : takes) {
            begin = pattern.at(setting, place);
            if (begin >= 0) {
                break;
            }
        }
        return begin < 0 || !isAllowed(setting) || isDenied(setting, place) ? -1 : begin;
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

    /** A rule while it is read, line by line. */
    static final class Draft {

        private final String id;
        private final boolean marked;
        private final List<Pattern> takes = new ArrayList<>();
        private final List<Pattern> not = new ArrayList<>();
        private final List<String> when = new ArrayList<>();
        private final List<String> yes = new ArrayList<>();
        private final List<String> no = new ArrayList<>();
        private String gives = "";

        Draft(String id, boolean marked) {
            this.id = id;
            this.marked = marked;
        }

        void take(String key, String rest, Lexicon lexicon) {
            switch (key) {
                case "takes" -> takes.add(new Pattern(rest, marked, lexicon));
                case "not" -> not.add(new Pattern(rest, marked, lexicon));
                case "when" -> when.addAll(List.of(rest.split("\\s+")));
                case "gives" -> gives = rest;
                case "yes" -> yes.add(rest);
                case "no" -> no.add(rest);
                default -> throw new IllegalStateException("A rule has no line " + key + ": " + id);
            }
        }

        Rule build() {
            if (takes.isEmpty() || gives.isEmpty() || yes.isEmpty()) {
                throw new IllegalStateException("A rule takes something, gives something and has an example: " + id);
            }
            return new Rule(
                    id,
                    List.copyOf(takes),
                    List.copyOf(not),
                    List.copyOf(when),
                    gives,
                    List.copyOf(yes),
                    List.copyOf(no));
        }
    }
}
