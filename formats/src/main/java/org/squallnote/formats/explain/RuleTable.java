package org.squallnote.formats.explain;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.squallnote.core.reading.ReadingRules;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.PhraseOrigin;
import org.squallnote.core.turn.TurnRules;

/** All rules that messages are read by, one row each, as docs/reading-rules.md shows them. */
final class RuleTable {

    private RuleTable() {}

    /** The table in Markdown: a heading of two lines, then a row for each rule in the order of the files. */
    static List<String> lines() {
        List<String> lines = new ArrayList<>(List.of("| rule | forms | as in | but not |", "|---|---:|---|---|"));
        byRule(ReadingRules.ofWords()).forEach((name, forms) -> lines.add(row(name, forms)));
        ReadingRules.ofShapes().forEach(shape -> lines.add(row(shape)));
        ReadingRules.ofDays().forEach(rule -> lines.add(row(rule)));
        ReadingRules.ofDates().forEach(rule -> lines.add(row(rule)));
        lines.add(row(ReadingRules.ofDatesNamedBefore()));
        byRule(TurnRules.ofWords()).forEach((name, forms) -> lines.add(row(name, forms)));
        return lines;
    }

    private static String row(Rule rule) {
        return row(
                rule.id(),
                Integer.toString(rule.takes().size()),
                rule.yes().get(0),
                rule.no().stream().findFirst().orElse(""));
    }

    private static String row(String name, List<PhraseOrigin> forms) {
        return row(name, Integer.toString(forms.size()), forms.get(0).example(), "");
    }

    private static Map<String, List<PhraseOrigin>> byRule(List<PhraseOrigin> forms) {
        return forms.stream()
                .collect(Collectors.groupingBy(PhraseOrigin::name, LinkedHashMap::new, Collectors.toList()));
    }

    /** What is known by the shape of a sentence has no forms. */
    private static String row(Reason shape) {
        return row(shape.rule(), "", shape.example(), "");
    }

    private static String row(String... cells) {
        return Stream.of(cells).map(cell -> cell.replace("|", "\\|")).collect(Collectors.joining(" | ", "| ", " |"));
    }
}
