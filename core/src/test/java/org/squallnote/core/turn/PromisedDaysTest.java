package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** By when something is awaited that was promised in several words. */
class PromisedDaysTest {

    private static Optional<LocalDate> awaitedBy(String answer) {
        return TurnFold.over(Stories.in(List.of(
                                "== promised | mail",
                                "me > Gus: could you take this over, please? An answer is wanted by 27 March.",
                                "Gus > me [re 1]: " + answer))
                        .get(0)
                        .events())
                .state()
                .awaited()
                .get(0)
                .by()
                .map(by -> by.toLocalDate());
    }

    @Test
    void isTheDayOfTheWordsThatNameOne() {
        assertThat(awaitedBy("Will do. You will have it on 23 March.")).contains(LocalDate.of(2026, 3, 23));
        assertThat(awaitedBy("You will have it on 23 March. I'll send you the keys as well."))
                .contains(LocalDate.of(2026, 3, 23));
    }

    @Test
    void isTheDayThatWasAskedForWhereNoneIsNamed() {
        assertThat(awaitedBy("Will do.")).contains(LocalDate.of(2026, 3, 27));
    }
}
