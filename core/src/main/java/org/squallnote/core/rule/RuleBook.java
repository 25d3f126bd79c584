package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.WordList;
import org.squallnote.core.text.WordSet;

/**
 * The rules of one stage, in their order: the first that holds decides. They stand in groups; in one that goes by
 * nearness or by the first word, the nearest or first word decides of which a rule speaks, and only among rules that
 * speak of the same word their order.
 */
public final class RuleBook {

    /** Within which reach a group that goes by nearness looks for its words. */
    private static final int REACH = 40;

    private enum Way {
        IN_ORDER,
        NEAREST_BEFORE,
        NEAREST_BEHIND,
        FIRST_IN_PART,
        FIRST_IN_SENTENCE
    }

    private record Group(String name, Way way, List<Rule> rules) {}

    /**
     * What a rule has decided.
     *
     * @param begin index of the first word that it speaks of
     */
    public record Found(Rule rule, int begin) {}

    private final List<Group> groups = new ArrayList<>();
    private final Lexicon lexicon;
    private Rule.@Nullable Draft draft;

    private RuleBook(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /**
     * Reads a file that lies beside a class.
     *
     * @param classes words that the file may speak of besides its own
     * @throws IllegalStateException when it is not written as it should be
     */
    public static RuleBook of(Class<?> beside, String file, Map<String, Set<String>> classes) {
        RuleBook book = new RuleBook(new Lexicon(classes));
        WordList.lines(beside, file).forEach(book::take);
        book.close();
        Set<String> ids = new HashSet<>();
        book.rules().forEach(rule -> {
            if (!ids.add(rule.id())) {
                throw new IllegalStateException("Two rules are called " + rule.id());
            }
        });
        return book;
    }

    private void take(String line) {
        int space = line.indexOf(' ');
        String key = space < 0 ? line : line.substring(0, space);
        String rest = space < 0 ? "" : line.substring(space).strip();
        switch (key) {
            case "words" -> {
                int colon = rest.indexOf(':');
                lexicon.add(rest.substring(0, colon), rest.substring(colon + 1).strip());
            }
            case "group" -> {
                close();
                int colon = rest.indexOf(':');
                groups.add(new Group(
                        rest.substring(0, colon), way(rest.substring(colon + 1).strip()), new ArrayList<>()));
            }
            case "rule" -> {
                close();
                draft = new Rule.Draft(rest, last().way() != Way.IN_ORDER);
            }
            default -> {
                if (draft == null) {
                    throw new IllegalStateException("This line belongs to no rule: " + line);
                }
                draft.take(key, rest, lexicon);
            }
        }
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

    private Group last() {
        return groups.get(groups.size() - 1);
    }

    private void close() {
        if (draft != null) {
            last().rules().add(draft.build());
            draft = null;
        }
    }

    /** All rules, in their order. */
    public List<Rule> rules() {
        return groups.stream().flatMap(group -> group.rules().stream()).toList();
    }

    /** The words of a class that the file speaks of. */
    public WordSet set(String name) {
        return WordSet.of(lexicon.words("<" + name + ">"));
    }

    /** What is decided about a date; nothing where no rule holds. */
    public Optional<Found> decide(Setting setting) {
        int next = 0;
        while (next < groups.size()) {
            Group group = groups.get(next);
            Optional<Found> found = in(group, setting);
            if (found.isPresent() && !found.get().rule().gives().startsWith("go on with ")) {
                return found;
            }
            next = found.isPresent() ? indexOf(found.get().rule().gives().substring("go on with ".length())) : next + 1;
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
        return switch (group.way()) {
            case IN_ORDER -> first(group, setting, setting.from());
            case NEAREST_BEFORE -> {
                Optional<Found> found = Optional.empty();
                int last = Math.max(setting.unitStart(), setting.from() - REACH);
                for (int i = setting.from() - 1; i >= last && found.isEmpty(); i--) {
                    found = first(group, setting, i);
                }
                yield found;
            }
            case NEAREST_BEHIND ->
                onward(group, setting, setting.to(), Math.min(setting.unitEnd(), setting.to() + REACH));
            case FIRST_IN_PART -> onward(group, setting, setting.unitStart(), setting.unitEnd());
            case FIRST_IN_SENTENCE ->
                onward(group, setting, 0, setting.sentence().size());
        };
    }

    private static Optional<Found> onward(Group group, Setting setting, int from, int toExclusive) {
        Optional<Found> found = Optional.empty();
        for (int i = from; i < toExclusive && found.isEmpty(); i++) {
            found = first(group, setting, i);
        }
        return found;
    }

    private static Optional<Found> first(Group group, Setting setting, int place) {
        for (Rule rule : group.rules()) {
            int begin = rule.at(setting, place);
            if (begin >= 0) {
                return Optional.of(new Found(rule, begin));
            }
        }
        return Optional.empty();
    }
}
