package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.text.WordList;

/** The usual courses of a thread, each with every choice of the words in flows.txt. */
class FlowsTest {

    private static final Pattern PART = Pattern.compile("\\{([a-z-]+)}");

    private static final Map<String, List<String>> PARTS = new LinkedHashMap<>();

    /** Each story from its head to its last line. */
    private static final List<String> STORIES = new ArrayList<>();

    static {
        List<String> section = new ArrayList<>();
        for (String line : WordList.lines(FlowsTest.class, "flows.txt")) {
            int last = STORIES.size() - 1;
            if (line.startsWith(":: ")) {
                section = PARTS.computeIfAbsent(line.substring(3), any -> new ArrayList<>());
            } else if (line.startsWith("== ")) {
                STORIES.add(line);
            } else if (STORIES.isEmpty()) {
                section.add(line);
            } else {
                STORIES.set(last, STORIES.get(last) + "\n" + line);
            }
        }
    }

    static List<String> flows() {
        return STORIES;
    }

    @ParameterizedTest
    @MethodSource("flows")
    void endsAsItShouldWhateverIsSaid(String flow) {
        List<String> misses = new ArrayList<>();
        for (String told : choicesOf(flow)) {
            Stories.Story story = Stories.in(told.lines().toList()).get(0);
            List<String> turns = Stories.turnsOf(story);
            if (!turns.equals(story.expected())) {
                misses.add(told + " was " + turns);
            }
        }
        assertThat(misses).isEmpty();
    }

    /** All ways to fill the first part in, and with each of them all ways to fill in the others. */
    private static List<String> choicesOf(String flow) {
        Matcher part = PART.matcher(flow);
        if (!part.find()) {
            return List.of(flow);
        }
        List<String> all = new ArrayList<>();
        for (String words : PARTS.getOrDefault(part.group(1), List.of())) {
            all.addAll(choicesOf(flow.replace(part.group(), words)));
        }
        assertThat(all).as(part.group()).isNotEmpty();
        return all;
    }
}
