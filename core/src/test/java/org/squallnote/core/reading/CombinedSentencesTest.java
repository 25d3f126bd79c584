package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.text.WordList;

/** Almost nine thousand messages put together from the parts in parts.txt and the frames below. */
class CombinedSentencesTest {

    /** What is read of a whole message, so that a part stands before, behind and between other sentences. */
    private static final List<String> LETTERS = List.of(
            "%s", "Hi Ines,\n\nthe roof is done. %s\n\nWill", "Hi Ines,\n\n%s The boat is back in the water.\n\nWill");

    private static final Map<String, List<String>> PARTS = parts();

    private static Map<String, List<String>> parts() {
        Map<String, List<String>> parts = new LinkedHashMap<>();
        List<String> section = List.of();
        for (String line : WordList.lines(CombinedSentencesTest.class, "parts.txt")) {
            if (line.startsWith("== ")) {
                section = new ArrayList<>();
                parts.put(line.substring(3), section);
            } else {
                section.add(line);
            }
        }
        return parts;
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Please {} by Friday.                              | yes 2026-03-13 firm
            Could you {} by Friday?                           | yes 2026-03-13 firm
            I need you to {} by Friday.                       | yes 2026-03-13 firm
            Don't forget to {} by Friday.                     | yes 2026-03-13 firm
            Would you be able to {} before the weekend?       | yes 2026-03-13 firm
            It would be nice if you could {} by Friday.       | yes 2026-03-13 soft
            You'll have to {} by Friday.                      | yes 2026-03-13 firm
            I'll {} by Friday.                                | no - -
            Will is going to {} by Friday.                    | no - -
            I had to {} on Friday.                            | no - -
            No need to {} now.                                | no - -
            They asked us to {} by Friday.                    | no - -
            I'm about to {}.                                  | no - -
            """)
    void whateverIsToBeDone(String frame, String expected) {
        assertThat(misses("VERB", frame, expected, "%s")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Please send me the list {}.
            Could you send me the list {}?
            I need the list {}.
            Can you let me know {} whether you're coming?
            I'd be grateful if you could confirm {}.
            We need your answer {}, otherwise the slot goes to somebody else.
            Let me have your comments {}, please.
            Would you mind returning the form {}?
            Please let me have the list and the map {} so that Will can print them.
            """)
    void whateverTheDayIsCalled(String frame) {
        assertThat(misses("DATE", frame, "yes {} firm", "%s")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            {} Could you send me the list?               | yes - -
            {} Please fill in the form.                  | yes - -
            {} Do you have the number of the plumber?    | yes - -
            Could you send me the list? {}               | yes - -
            Please fill in the form. {}                  | yes - -
            {} I need the list by tomorrow.              | yes 2026-03-11 firm
            """)
    void whateverTakesPlaceBesides(String frame, String expected) {
        assertThat(misses("EVENT", frame, expected, "%s")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Could you send me the list? {}
            Please fill in the form. {}
            """)
    void whateverSaysByWhen(String frame) {
        assertThat(misses("DUE", frame, "yes {} firm", "%s")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"SAID, no - -", "ASKED, yes - -", "DATED, yes {} firm"})
    void whereverItStands(String section, String expected) {
        for (String letter : LETTERS) {
            assertThat(misses(section, "{}", expected, letter)).isEmpty();
        }
    }

    /** The sentences that are read otherwise; a part may bring the day that is expected behind a tab. */
    private static List<String> misses(String section, String frame, String expected, String letter) {
        List<String> misses = new ArrayList<>();
        for (String part : PARTS.get(section)) {
            String[] sides = part.split("\t");
            String text = frame.replace("{}", sides[0]);
            String day = sides.length > 1 ? sides[1] : "-";
            String wanted = day.equals("-") ? expected.replace("{} firm", "- -") : expected.replace("{}", day);
            String got = OtherVoicesTest.read("m", String.format(Locale.ROOT, letter, text));
            if (!got.equals(wanted)) {
                misses.add(text + " was " + got);
            }
        }
        return misses;
    }
}
