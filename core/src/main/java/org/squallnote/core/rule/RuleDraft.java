package org.squallnote.core.rule;

import java.util.ArrayList;
import java.util.List;

/** A rule while it is read from a file, line by line. */
final class RuleDraft {

    private final String id;
    private final List<String> takes = new ArrayList<>();
    private final List<String> not = new ArrayList<>();
    private final List<String> when = new ArrayList<>();
    private final List<String> yes = new ArrayList<>();
    private final List<String> no = new ArrayList<>();
    private String gives = "";
    private String over = "";

    RuleDraft(String id) {
        this.id = id;
    }

    void take(String key, String rest) {
        switch (key) {
            case "takes" -> takes.add(rest);
            case "not" -> not.add(rest);
            case "when" -> when.addAll(List.of(rest.split("\\s+")));
            case "gives" -> gives = rest;
            case "over" -> over = rest;
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
                over,
                List.copyOf(yes),
                List.copyOf(no));
    }
}
