package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.Lexicon;

/** A file of rules as it is written: its groups with their rules in their order, and the words that it speaks of. */
final class RuleFile {

    /**
     * Rules under one heading.
     *
     * @param way how they are tried: {@code in order}, {@code nearest before} and the like
     */
    record Group(String name, String way, List<Rule> rules) {}

    private final List<Group> groups = new ArrayList<>();
    private final Map<String, Map<String, Integer>> values = new HashMap<>();
    private final Lexicon lexicon;
    private @Nullable RuleDraft draft;

    /**
     * @param lines without remarks and white space at their ends
     * @param classes words that the file may speak of besides its own
     * @throws IllegalStateException when it is not written as it should be
     */
    RuleFile(List<String> lines, Map<String, Set<String>> classes) {
        lexicon = new Lexicon(classes);
        lines.forEach(this::take);
        close();
        Set<String> ids = new HashSet<>();
        groups.stream().flatMap(group -> group.rules().stream()).forEach(rule -> {
            if (!ids.add(rule.id())) {
                throw new IllegalStateException("Two rules are called " + rule.id());
            }
        });
    }

    List<Group> groups() {
        return groups;
    }

    /** What words stand for, by the name of what they count: {@code values weekday: monday=1 tuesday=2}. */
    Map<String, Map<String, Integer>> values() {
        return values;
    }

    Lexicon lexicon() {
        return lexicon;
    }

    private void take(String line) {
        int space = line.indexOf(' ');
        String key = space < 0 ? line : line.substring(0, space);
        String rest = space < 0 ? "" : line.substring(space).strip();
        switch (key) {
            case "words" -> lexicon.add(rest);
            case "values" -> addValues(rest);
            case "group" -> {
                close();
                int colon = rest.indexOf(':');
                groups.add(new Group(
                        rest.substring(0, colon), rest.substring(colon + 1).strip(), new ArrayList<>()));
            }
            case "rule" -> {
                close();
                draft = new RuleDraft(rest);
            }
            default -> {
                if (draft == null) {
                    throw new IllegalStateException("This line belongs to no rule: " + line);
                }
                draft.take(key, rest);
            }
        }
    }

    private void addValues(String line) {
        int colon = line.indexOf(':');
        Map<String, Integer> named =
                values.computeIfAbsent(line.substring(0, Math.max(colon, 0)).strip(), name -> new HashMap<>());
        for (String piece : line.substring(colon + 1).strip().split("\\s+")) {
            int equals = piece.indexOf('=');
            if (colon < 0 || equals < 0) {
                throw new IllegalStateException("Values are a name before a colon, and words with numbers: " + line);
            }
            named.put(piece.substring(0, equals), Integer.parseInt(piece.substring(equals + 1)));
        }
    }

    private void close() {
        if (draft != null) {
            groups.get(groups.size() - 1).rules().add(draft.build());
            draft = null;
        }
    }
}
