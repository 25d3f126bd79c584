package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.text.WordList;

/** What a reply to a request does to the turn, whoever of the two has asked. */
class RepliesTest {

    /** Each reply behind what is asked: "later", the reply, the ask. */
    static Stream<String> replies() {
        List<String> replies = new ArrayList<>();
        String ask = "";
        for (String line : WordList.lines(RepliesTest.class, "replies.tsv")) {
            if (line.startsWith("?\t")) {
                ask = line.substring(2);
            } else {
                replies.add(line + "\t" + ask);
            }
        }
        return replies.stream();
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
        assertTurn("me > Rosa", "Rosa > me", "Ines", line, expected);
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
        assertTurn("Rosa > me", "me > Rosa", "Rosa", line, expected);
    }

    /** The reply alone, between a greeting and a name, and behind thanks and above a quote. */
    private static void assertTurn(String asking, String replying, String to, String line, String expected) {
        String reply = line.split("\t")[1];
        String asked = line.split("\t")[2];
        String ask = asking + ": " + asked;
        for (String letter : List.of(
                reply,
                "Hi " + to + ",\\n\\n" + reply + "\\n\\nBest,\\nKim",
                "Dear " + to + ",\\n\\nthanks for your mail. " + reply + "\\n\\n> " + asked)) {
            List<String> lines = List.of("== a reply | mail", ask, replying + " [re 1]: " + letter);
            assertThat(Stories.told(
                            TurnFold.over(Stories.in(lines).get(0).events()).state()))
                    .as(letter)
                    .isEqualTo(expected);
        }
    }
}
