package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.squallnote.core.text.Lexicon;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Word;
import org.squallnote.core.text.WordList;
import org.squallnote.core.text.WordSet;
import org.squallnote.core.text.WordValues;

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

        boolean isExcepted(Sentence sentence, int place, Kinds kinds) {
            for (Sequence one : not) {
                if (one.at(sentence, place, kinds, new HashMap<>(0)) >= 0) {
                    return true;
                }
            }
            return false;
        }
    }

    /**
     * One way to write a term.
     *
     * @param kinds the kinds of words, by their bits, one of which it begins with; {@link #ANY} where it begins with a word
     */
    private record Form(CompiledTerm term, Sequence takes, long kinds) {

        static final long ANY = -1;
    }

    /**
     * The terms of a group.
     *
     * @param places where in {@code forms} those stand that can begin with a word
     * @param forms by their first words, each in the order of the rules; the first are those for all other words
     * @param kinds those that forms can begin with, by their bits
     * @param named the bits of those that are groups themselves
     */
    private record Group(List<CompiledTerm> terms, WordValues places, Form[][] forms, List<String> kinds, long named) {

        static Group of(List<CompiledTerm> terms, Set<String> groups) {
            List<String> kinds = sequences(terms)
                    .flatMap(takes -> takes.firstKinds().stream())
                    .distinct()
                    .toList();
            if (kinds.size() >= Long.SIZE) {
                throw new IllegalStateException("Too many kinds of words begin what one group names: " + kinds);
            }
            List<Form[]> forms = new ArrayList<>();
            forms.add(beginningWith("", terms, kinds));
            Map<String, Integer> places = new HashMap<>();
            sequences(terms).flatMap(Sequence::firstWords).distinct().forEach(word -> {
                places.put(word, forms.size());
                forms.add(beginningWith(word, terms, kinds));
            });
            long named = 0;
            for (int i = 0; i < kinds.size(); i++) {
                named |= groups.contains(kinds.get(i)) ? 1L << i : 0;
            }
            return new Group(terms, new WordValues(places), forms.toArray(Form[][]::new), kinds, named);
        }

        private static Stream<Sequence> sequences(List<CompiledTerm> terms) {
            return terms.stream().flatMap(term -> Stream.of(term.takes()));
        }

        private static Form[] beginningWith(String word, List<CompiledTerm> terms, List<String> kinds) {
            List<Form> forms = new ArrayList<>();
            for (CompiledTerm term : terms) {
                for (Sequence takes : term.takes()) {
                    long bits = takes.firstKinds().stream()
                            .mapToLong(kind -> 1L << kinds.indexOf(kind))
                            .reduce(0, (some, more) -> some | more);
                    boolean byWord = takes.mayBeginWith(word);
                    if (byWord || bits != 0) {
                        forms.add(new Form(term, takes, byWord ? Form.ANY : bits));
                    }
                }
            }
            return forms.toArray(Form[]::new);
        }

        /** The kinds that begin at a place, by their bits. */
        long kindsAt(int place, Kinds known) {
            if (kinds.isEmpty()) {
                return 0;
            }
            long asked = known.isOfNoKind(place) ? named : -1;
            long found = 0;
            for (int i = 0; i < kinds.size(); i++) {
                found |= (asked & 1L << i) != 0 && known.endOf(kinds.get(i), place) >= 0 ? 1L << i : 0;
            }
            return found;
        }

        Form[] formsAt(Sentence sentence, int place) {
            int known = places.at(sentence, place);
            return forms[known == WordValues.NONE ? 0 : known];
        }
    }

    /**
     * What stands at a word.
     *
     * @param to the place behind its last word
     * @param kinds where each of its kinds begins
     */
    public record Term(Rule rule, int from, int to, Map<String, Integer> kinds) {

        /** Where a kind begins, negative where it is not there. */
        public int place(String kind) {
            return kinds.getOrDefault(kind, -1);
        }

        /** Where one of these kinds begins, negative where none is there. */
        public int place(List<String> oneOf) {
            int found = -1;
            for (String kind : oneOf) {
                found = Math.max(found, kinds.getOrDefault(kind, -1));
            }
            return found;
        }
    }

    private final Map<String, Group> groups;
    private final RuleFile file;
    private final WordSet first;

    private TermBook(Map<String, Group> groups, RuleFile file) {
        this.groups = groups;
        this.file = file;
        this.first = WordSet.of(groups.values().stream()
                .flatMap(group -> group.places().words().stream())
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
        Set<String> names = rules.groups().stream().map(RuleFile.Group::name).collect(Collectors.toSet());
        for (RuleFile.Group group : rules.groups()) {
            if (!group.way().equals("in order")) {
                throw new IllegalStateException("What is named is looked for in order: " + group.name());
            }
            groups.put(
                    group.name(),
                    Group.of(
                            group.rules().stream()
                                    .map(rule -> CompiledTerm.of(rule, rules.lexicon()))
                                    .toList(),
                            names));
        }
        return new TermBook(groups, rules);
    }

    /** All rules, in their order. */
    public List<Rule> rules() {
        return groups.values().stream()
                .flatMap(group -> group.terms().stream())
                .map(CompiledTerm::rule)
                .toList();
    }

    /** The same rules but one: what would be without it. */
    public TermBook without(String id) {
        Map<String, Group> rest = new LinkedHashMap<>();
        groups.forEach((name, group) -> rest.put(
                name,
                Group.of(
                        group.terms().stream()
                                .filter(term -> !term.rule().id().equals(id))
                                .toList(),
                        groups.keySet())));
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
        if (group == null) {
            return Optional.empty();
        }
        Map<String, Integer> found = new HashMap<>(0);
        long begins = group.kindsAt(place, kinds);
        for (Form form : group.formsAt(sentence, place)) {
            if ((form.kinds() & begins) == 0 && form.kinds() != Form.ANY) {
                continue;
            }
            int end = form.takes().at(sentence, place, kinds, found);
            if (end <= place || form.term().isExcepted(sentence, place, kinds)) {
                continue;
            }
            Optional<T> meant = meaning.apply(new Term(form.term().rule(), place, end, found));
            if (meant.isPresent()) {
                return meant;
            }
            found = new HashMap<>(0);
        }
        return Optional.empty();
    }
}
