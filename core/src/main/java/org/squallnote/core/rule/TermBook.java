package org.squallnote.core.rule;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.squallnote.core.text.Lexicon;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Word;
import org.squallnote.core.text.WordList;
import org.squallnote.core.text.WordSet;

/** Rules that say what words name, in groups of their order: in each the first that stands at a word decides. */
public final class TermBook {

    private record CompiledTerm(Rule rule, Sequence[] takes) {}

    /**
     * The terms of a group.
     *
     * @param first the words that one can begin with
     */
    private record Group(CompiledTerm[] terms, WordSet first) {

        static Group of(List<CompiledTerm> terms) {
            List<Sequence> all =
                    terms.stream().flatMap(term -> Stream.of(term.takes())).toList();
            return new Group(
                    terms.toArray(CompiledTerm[]::new),
                    WordSet.of(all.stream().flatMap(Sequence::firstWords).collect(Collectors.toSet())));
        }
    }

    /**
     * What stands at a word.
     *
     * @param to the place behind its last word
     * @param kinds where each of its kinds begins
     */
    public record Term(Rule rule, int from, int to, Map<String, Integer> kinds) {}

    private final Map<String, Group> groups;
    private final WordSet first;

    private TermBook(Map<String, Group> groups) {
        this.groups = groups;
        this.first = WordSet.of(groups.values().stream()
                .flatMap(group -> group.first().words().stream())
                .collect(Collectors.toSet()));
    }

    /**
     * Reads a file that lies beside a class.
     *
     * @throws IllegalStateException when it is not written as it should be
     */
    public static TermBook of(Class<?> beside, String file) {
        return of(WordList.lines(beside, file));
    }

    /** The same from its lines, without remarks and white space at their ends. */
    static TermBook of(List<String> lines) {
        RuleFile rules = new RuleFile(lines, Map.of());
        Map<String, Group> groups = new LinkedHashMap<>();
        for (RuleFile.Group group : rules.groups()) {
            if (!group.way().equals("in order")) {
                throw new IllegalStateException("What is named is looked for in order: " + group.name());
            }
            groups.put(
                    group.name(),
                    Group.of(group.rules().stream()
                            .map(rule -> compiled(rule, rules.lexicon()))
                            .toList()));
        }
        return new TermBook(groups);
    }

    private static CompiledTerm compiled(Rule rule, Lexicon lexicon) {
        if (!rule.not().isEmpty() || !rule.when().isEmpty()) {
            throw new IllegalStateException(
                    "A rule that names something has no exceptions or conditions: " + rule.id());
        }
        return new CompiledTerm(
                rule,
                rule.takes().stream().map(line -> new Sequence(line, lexicon)).toArray(Sequence[]::new));
    }

    /** All rules, in their order. */
    public List<Rule> rules() {
        return groups.values().stream()
                .flatMap(group -> Stream.of(group.terms()))
                .map(CompiledTerm::rule)
                .toList();
    }

    /** The same rules but one: what would be without it. */
    public TermBook without(String id) {
        Map<String, Group> rest = new LinkedHashMap<>();
        groups.forEach((name, group) -> rest.put(
                name,
                Group.of(Stream.of(group.terms())
                        .filter(term -> !term.rule().id().equals(id))
                        .toList())));
        return new TermBook(rest);
    }

    /** Whether something can begin with a word. */
    public boolean canBeginWith(Word word) {
        return first.has(word);
    }

    /** What the rules of a group name in a sentence from a word on. */
    public Optional<Term> at(String name, Sentence sentence, int place, Kinds kinds) {
        Group group = groups.get(name);
        if (group == null || !group.first().has(sentence, place)) {
            return Optional.empty();
        }
        Map<String, Integer> found = new HashMap<>(0);
        for (CompiledTerm term : group.terms()) {
            for (Sequence takes : term.takes()) {
                int end = takes.at(sentence, place, kinds, found);
                if (end > place) {
                    return Optional.of(new Term(term.rule(), place, end, found));
                }
            }
        }
        return Optional.empty();
    }
}
