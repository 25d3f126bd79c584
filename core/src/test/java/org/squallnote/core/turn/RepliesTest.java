package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.text.WordList;

/** What a reply to a request does to the turn, whoever of the two has asked. */
class RepliesTest {

    static Stream<String> replies() {
        return WordList.lines(RepliesTest.class, "replies.tsv").stream();
    }

    @ParameterizedTest
    @MethodSource("replies")
    void theirsToMyRequest(String line) {
        String[] reply = line.split("\t");
        String expected = switch (reply[0]) {
            case "later" -> "Rosa";
            case "question" -> "owe";
            default -> "";
        };
        assertThat(turnAfter("me > Rosa", "Rosa > me", reply[1])).as(line).isEqualTo(expected);
    }

    @ParameterizedTest
    @MethodSource("replies")
    void mineToTheirRequest(String line) {
        String[] reply = line.split("\t");
        String expected = switch (reply[0]) {
            case "later", "thanks" -> "owe";
            case "question" -> "Rosa";
            default -> "";
        };
        assertThat(turnAfter("Rosa > me", "me > Rosa", reply[1])).as(line).isEqualTo(expected);
    }

    private static String turnAfter(String asking, String replying, String reply) {
        List<String> lines = List.of(
                "== a reply | mail", asking + ": Hello, could you send me the list?", replying + " [re 1]: " + reply);
        return Stories.told(TurnFold.over(Stories.in(lines).get(0).events()).state());
    }
}
