package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StoriesTest {

    static List<Stories.Story> stories() {
        return Stories.all();
    }

    @ParameterizedTest
    @MethodSource("stories")
    void theTurnAfterEveryMessage(Stories.Story story) {
        assertThat(Stories.turnsOf(story)).as(story.name()).isEqualTo(story.expected());
    }

    @ParameterizedTest
    @MethodSource("stories")
    void theOrderOfArrivalDoesNotMatter(Stories.Story story) {
        TurnState expected = TurnFold.over(story.events()).state();
        Random random = new Random(story.name().hashCode());
        for (int round = 0; round < 20; round++) {
            List<TurnEvent> shuffled = new ArrayList<>(story.events());
            Collections.shuffle(shuffled, random);
            TurnFold fold = new TurnFold();
            shuffled.forEach(fold::add);
            assertThat(fold.state()).isEqualTo(expected);
        }
    }
}
