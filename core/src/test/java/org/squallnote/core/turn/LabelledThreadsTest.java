package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.Labelled;
import tools.jackson.databind.JsonNode;

/** Holds what was reached on the labelled threads: every step of all of them. */
class LabelledThreadsTest {

    static List<JsonNode> threads() {
        return Labelled.lines(LabelledThreadsTest.class, "labelled-threads.jsonl");
    }

    @ParameterizedTest
    @MethodSource("threads")
    void everyStep(JsonNode row) {
        List<TurnEvent> events = Labelled.events(row);
        TurnFold fold = TurnFold.over(events);
        List<String> expected = new ArrayList<>();
        List<String> got = new ArrayList<>();
        int i = 0;
        for (JsonNode message : row.path("messages")) {
            TreeSet<String> awaiting = new TreeSet<>();
            message.path("expect").path("awaiting").forEach(address -> awaiting.add(address.asString()));
            expected.add(message.path("expect").path("iOwe").asBoolean() + " " + awaiting);
            TurnState state = fold.after(i++);
            TreeSet<String> found = new TreeSet<>();
            state.awaited().forEach(one -> found.add(one.party().address()));
            got.add(state.iOwe() + " " + found);
        }
        assertThat(got).as(row.path("id").asString()).isEqualTo(expected);
    }
}
