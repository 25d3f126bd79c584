package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.squallnote.core.Labelled;
import tools.jackson.databind.JsonNode;

/** Holds what was reached on the labelled messages, so that it cannot fall. */
class FiguresTest {

    /** "early next week" is labelled with the Monday; the rule, and so the engine, says Tuesday. */
    private static final List<String> LABELLED_AGAINST_THE_RULE = List.of("rd-134");

    @Test
    void labelledMessagesAreReadAsTheyAreLabelled() {
        assertThat(missesIn("labelled-messages.jsonl")).isEqualTo(LABELLED_AGAINST_THE_RULE);
    }

    /** Whole messages of this project's own, of which those are kept that are read right. */
    @Test
    void ownMessagesAreReadAsTheyAreLabelled() {
        assertThat(missesIn("own-messages.jsonl")).isEmpty();
    }

    private static List<String> missesIn(String file) {
        List<String> misses = new ArrayList<>();
        for (JsonNode row : Labelled.lines(FiguresTest.class, file)) {
            JsonNode message = row.path("message");
            Reading reading = Labelled.reader(row).read(Labelled.message(row, message, message, false));
            JsonNode expected = row.path("expect");
            String wanted = expected.path("nature").asString() + " "
                    + expected.path("asksMe").asBoolean() + " "
                    + expected.path("replyBy").asString("null") + " "
                    + (expected.path("firm").isNull()
                            ? "null"
                            : expected.path("firm").asBoolean());
            String got =
                    reading.nature().name().toLowerCase(Locale.ROOT).replace('_', '-') + " " + reading.asksMe() + " "
                            + reading.replyBy().map(FiguresTest::written).orElse("null") + " "
                            + reading.replyBy()
                                    .map(Deadline::firm)
                                    .map(Object::toString)
                                    .orElse("null");
            if (!wanted.equals(got)) {
                misses.add(row.path("id").asString());
            }
        }
        return misses;
    }

    static String written(Deadline deadline) {
        return deadline.time()
                .map(time -> deadline.day()
                        .atTime(time)
                        .format(DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm", Locale.ROOT)))
                .orElseGet(() -> deadline.day().toString());
    }
}
