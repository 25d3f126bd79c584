package org.squallnote.core.rule;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.Lexicon;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordList;

/**
 * The rules of one stage, in their order: the first that holds decides. They stand in groups; in one that goes by
 * nearness or by the first word, the nearest or first word decides of which a rule speaks, and only among rules that
 * speak of the same word their order.
 */
public final class RuleBook {

    /** Within which reach a group that goes by nearness looks for its words. */
    private static final int REACH = 40;

    private static final String GO_ON = "go on with ";

    private enum Way {
        IN_ORDER,
        NEAREST_BEFORE,
        NEAREST_BEHIND,
        FIRST_IN_PART,
        FIRST_IN_SENTENCE
    }

    private record Group(String name, Way way, List<CompiledRule> rules) {}

    /**
     * What a rule has decided.
     *
     * @param begin index of the first word that it speaks of
     * @param passed rules that held before it and sent on to another group
     */
    public record Found(Rule rule, int begin, List<Rule> passed) {}

    private final List<Group> groups;

    private RuleBook(List<Group> groups) {
        this.groups = groups;
    }

    /**
     * Reads a file that lies beside a class.
     *
     * @param classes words that the file may speak of besides its own
     * @throws IllegalStateException when it is not written as it should be
     */
    public static RuleBook of(Class<?> beside, String file, Map<String, Set<String>> classes) {
        return of(WordList.lines(beside, file), classes);
    }

    /** The same from its lines, without remarks and white space at their ends. */
    static RuleBook of(List<String> lines, Map<String, Set<String>> classes) {
        RuleFile file = new RuleFile(lines, classes);
        return new RuleBook(file.groups().stream()
                .map(group -> compiled(group, way(group.way()), file.lexicon()))
                .toList());
    }

    private static Group compiled(RuleFile.Group group, Way way, Lexicon lexicon) {
        return new Group(
                group.name(),
                way,
                group.rules().stream()
                        .map(rule -> new CompiledRule(rule, way != Way.IN_ORDER, lexicon))
                        .toList());
    }

    private static Way way(String words) {
        return switch (words) {
            case "in order" -> Way.IN_ORDER;
            case "nearest before" -> Way.NEAREST_BEFORE;
            case "nearest behind" -> Way.NEAREST_BEHIND;
            case "first in part" -> Way.FIRST_IN_PART;
            case "first in sentence" -> Way.FIRST_IN_SENTENCE;
            default -> throw new IllegalStateException("No group goes " + words);
        };
    }

    /** All rules, in their order. */
    public List<Rule> rules() {
        return groups.stream()
                .flatMap(group -> group.rules().stream())
                .map(CompiledRule::rule)
                .toList();
    }

    /** The same rules but one: what would be without it. */
    public RuleBook without(String id) {
        return new RuleBook(groups.stream()
                .map(group -> new Group(
                        group.name(),
                        group.way(),
                        group.rules().stream()
                                .filter(each -> !each.rule().id().equals(id))
                                .toList()))
                .toList());
    }

    /** What is decided about a date; nothing where no rule holds. */
    public Optional<Found> decide(Setting setting) {
        List<Rule> passed = List.of();
        int next = 0;
        while (next < groups.size()) {
            Optional<Found> found = in(groups.get(next), setting);
            next++;
            if (found.isPresent()) {
                Rule rule = found.get().rule();
                if (!rule.gives().startsWith(GO_ON)) {
                    return passed.isEmpty()
                            ? found
                            : Optional.of(new Found(rule, found.get().begin(), passed));
                }
                passed = Stream.concat(passed.stream(), Stream.of(rule)).toList();
                next = indexOf(rule.gives().substring(GO_ON.length()));
            }
        }
        return Optional.empty();
    }

    private int indexOf(String name) {
        for (int i = 0; i < groups.size(); i++) {
            if (groups.get(i).name().equals(name)) {
                return i;
            }
        }
        throw new IllegalStateException("No group is called " + name);
    }

    /** What the rules of one group say; nothing where none of them holds. */
    public Optional<Found> in(String group, Setting setting) {
        return in(groups.get(indexOf(group)), setting);
    }

    private static Optional<Found> in(Group group, Setting setting) {
        CompiledRule[] rules = mayHold(group, setting.sentence());
        if (rules.length == 0) {
            return Optional.empty();
        }
        return switch (group.way()) {
            case IN_ORDER -> Optional.ofNullable(first(rules, setting, setting.from()));
            case NEAREST_BEFORE -> {
                Found found = null;
                int last = Math.max(setting.unitStart(), setting.from() - REACH);
                for (int i = setting.from() - 1; i >= last && found == null; i--) {
                    found = first(rules, setting, i);
                }
                yield Optional.ofNullable(found);
            }
            case NEAREST_BEHIND ->
                onward(rules, setting, setting.to(), Math.min(setting.unitEnd(), setting.to() + REACH));
            case FIRST_IN_PART -> onward(rules, setting, setting.unitStart(), setting.unitEnd());
            case FIRST_IN_SENTENCE ->
                onward(rules, setting, 0, setting.sentence().size());
        };
    }

    private static CompiledRule[] mayHold(Group group, Sentence sentence) {
        CompiledRule[] some = new CompiledRule[group.rules().size()];
        int count = 0;
        for (CompiledRule rule : group.rules()) {
            if (rule.mayHoldIn(sentence)) {
                some[count++] = rule;
            }
        }
        return Arrays.copyOf(some, count);
    }

    private static Optional<Found> onward(CompiledRule[] rules, Setting setting, int from, int toExclusive) {
        Found found = null;
        for (int i = from; i < toExclusive && found == null; i++) {
            found = first(rules, setting, i);
        }
        return Optional.ofNullable(found);
    }

    private static @Nullable Found first(CompiledRule[] rules, Setting setting, int place) {
        for (CompiledRule rule : rules) {
            int begin = rule.at(setting, place);
            if (begin >= 0) {
                return new Found(rule.rule(), begin, List.of());
            }
        }
        return null;
    }
}
