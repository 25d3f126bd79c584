package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.text.WordList;

/** Every way to ask for something by a day, with every way to name the day. */
class AskFormsTest {

    /** How a day is named on Tuesday 10 March 2026, and which one it is. */
    private static final Map<String, String> DAYS = Map.of(
            "by Friday", "2026-03-13",
            "by Friday at the latest", "2026-03-13",
            "before the end of the week", "2026-03-13",
            "by 20 March", "2026-03-20",
            "no later than Thursday", "2026-03-12",
            "within three days", "2026-03-13",
            "by tomorrow noon", "2026-03-11T12:00");

    static Stream<String> forms() {
        return WordList.lines(AskFormsTest.class, "ask-forms.txt").stream();
    }

    @ParameterizedTest
    @MethodSource("forms")
    void asksByTheDayThatIsNamed(String form) {
        boolean soft = form.startsWith("~");
        DAYS.forEach((words, day) -> {
            String text = form.substring(soft ? 1 : 0).replace("DAY", words);
            Reading reading = OtherVoicesTest.READER.read(OtherVoicesTest.message("m", text));
            assertThat(reading.asksMe()).as(text).isTrue();
            assertThat(reading.replyBy().map(FiguresTest::written)).as(text).contains(day);
            boolean hard = words.contains("latest") || words.contains("no later");
            assertThat(reading.replyBy().orElseThrow().firm()).as(text).isEqualTo(!soft || hard);
        });
    }
}
