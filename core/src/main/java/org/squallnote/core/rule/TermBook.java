package org.squallnote.core.rule;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.Lexicon;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Word;
import org.squallnote.core.text.WordList;
import org.squallnote.core.text.WordSet;

/** Rules that say what words name, in groups of their order: in each the first that stands at a word decides. */
public final class TermBook {

    private record CompiledTerm(Rule rule, Sequence[] takes, Sequence[] not) {

        static CompiledTerm of(Rule rule, Lexicon lexicon) {
            if (!rule.when().isEmpty()) {
                throw new IllegalStateException("A rule that names something has no conditions: " + rule.id());
            }
            return new CompiledTerm(rule, sequences(rule.takes(), lexicon), sequences(rule.not(), lexicon));
        }

        private static Sequence[] sequences(List<String> lines, Lexicon lexicon) {
            return lines.stream().map(line -> new Sequence(line, lexicon)).toArray(Sequence[]::new);
        }

        @Nullable
        Term at(Sentence sentence, int place, Kinds kinds, Map<String, Integer> found) {
            for (Sequence sequence : takes) {
                int end = sequence.at(sentence, place, kinds, found);
                if (end > place && !isExcepted(sentence, place, kinds)) {
                    return new Term(rule, place, end, found);
                }
            }
            return null;
        }

        private boolean isExcepted(Sentence sentence, int place, Kinds kinds) {
            return Stream.of(not).anyMatch(one -> one.at(sentence, place, kinds, new HashMap<>(0)) >= 0);
        }
    }

    /**
     * The terms of a group.
     *
     * @param first the words that one can begin with, besides words of the kinds; absent where it may be any
     */
    private record Group(CompiledTerm[] terms, @Nullable WordSet first, String[] kinds) {

        static Group of(List<CompiledTerm> terms) {
            List<Sequence> all =
                    terms.stream().flatMap(term -> Stream.of(term.takes())).toList();
            Set<String> words = all.stream().flatMap(Sequence::firstWords).collect(Collectors.toSet());
            return new Group(
                    terms.toArray(CompiledTerm[]::new),
                    all.stream().allMatch(Sequence::beginsKnown) ? WordSet.of(words) : null,
                    all.stream()
                            .flatMap(sequence -> sequence.firstKinds().stream())
                            .distinct()
                            .toArray(String[]::new));
        }

        boolean canBeginAt(Sentence sentence, int place, Kinds known) {
            if (first == null || first.has(sentence, place)) {
                return true;
            }
            for (String kind : kinds) {
                if (known.endOf(kind, place) > place) {
                    return true;
                }
            }
            return false;
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
    private final RuleFile file;
    private final WordSet first;

    private TermBook(Map<String, Group> groups, RuleFile file) {
        this.groups = groups;
        this.file = file;
        this.first = WordSet.of(groups.values().stream()
                .flatMap(group -> Stream.of(group.terms()))
                .flatMap(term -> Stream.of(term.takes()))
                .flatMap(Sequence::firstWords)
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
                            .map(rule -> CompiledTerm.of(rule, rules.lexicon()))
                            .toList()));
        }
        return new TermBook(groups, rules);
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
        return new TermBook(rest, file);
    }

    /** The words of a class of the file; none where it makes no such class. */
    public Set<String> words(String name) {
        return file.lexicon().has(name) ? file.lexicon().words("<" + name + ">") : Set.of();
    }

    /** What words of the file stand for: {@code values weekday: monday=1}; empty where it tells none of that name. */
    public Map<String, Integer> values(String name) {
        return file.values().getOrDefault(name, Map.of());
    }

    /** Whether something can begin with a word. */
    public boolean canBeginWith(Word word) {
        return first.has(word);
    }

    /** What the rules of a group name in a sentence from a word on. */
    public Optional<Term> at(String name, Sentence sentence, int place, Kinds kinds) {
        return at(name, sentence, place, kinds, Optional::of);
    }

    /**
     * The same, of those only that mean something.
     *
     * @param meaning what it stands for; a rule of which nothing comes is passed over
     */
    public <T> Optional<T> at(
            String name, Sentence sentence, int place, Kinds kinds, Function<Term, Optional<T>> meaning) {
        Group group = groups.get(name);
        if (group == null || !group.canBeginAt(sentence, place, kinds)) {
            return Optional.empty();
        }
        Map<String, Integer> found = new HashMap<>(0);
        for (CompiledTerm compiled : group.terms()) {
            Term term = compiled.at(sentence, place, kinds, found);
            if (term == null) {
                continue;
            }
            Optional<T> meant = meaning.apply(term);
            if (meant.isPresent()) {
                return meant;
            }
            found = new HashMap<>(0);
        }
        return Optional.empty();
    }
}
