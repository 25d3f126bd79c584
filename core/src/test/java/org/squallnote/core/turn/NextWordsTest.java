package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.text.WordList;

/** What is written next in a thread that stands so or so: takes an ask back, thanks, talks of the weather. */
class NextWordsTest {

    /**
     * A message behind others.
     *
     * @param before the lines of the thread up to it, as {@link Stories} has them
     * @param who who writes to whom
     * @param expected whose turn it is then
     */
    private record Next(List<String> before, String who, String words, String expected) {

        @Override
        public String toString() {
            return who + ": " + words;
        }
    }

    static Stream<Next> messages() {
        List<Next> all = new ArrayList<>();
        List<String> before = new ArrayList<>();
        String who = "";
        String expected = "";
        for (String line : WordList.lines(NextWordsTest.class, "next-words.txt")) {
            if (line.startsWith("== ")) {
                before.clear();
                who = "";
            } else if (line.startsWith("? ")) {
                String[] next = line.substring(2).split(" = ");
                who = next[0];
                expected = next.length > 1 ? next[1] : "";
            } else if (who.isEmpty()) {
                before.add(line);
            } else {
                all.add(new Next(List.copyOf(before), who, line, expected));
            }
        }
        return all.stream();
    }

    /** Who begins with a small letter writes in a chat. */
    @ParameterizedTest
    @MethodSource("messages")
    void whoseTurnItIsThen(Next next) {
        List<String> lines = new ArrayList<>();
        lines.add("== next | " + (Character.isLowerCase(next.words().charAt(0)) ? "direct" : "mail"));
        lines.addAll(next.before());
        lines.add(next.who() + ": " + next.words());
        assertThat(Stories.told(TurnFold.over(Stories.in(lines).get(0).events()).state()))
                .isEqualTo(next.expected());
    }
}
