package org.squallnote.core.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class HoldingReplyTest {

    private static final Promised WORD =
            new Promised(new UUID(1, 1), Instant.parse("2026-03-02T09:00:00Z"), "I'll send it on Wednesday.");

    @Test
    void quotesThePromiseAndNamesTheNewDay() {
        String draft = HoldingReply.draft("Tilda", WORD, LocalDate.of(2026, 3, 6), ZoneOffset.UTC, "Ines");
        assertThat(draft)
                .startsWith("Hello Tilda,")
                .contains("on 2 March I wrote: “I'll send it on Wednesday.”")
                .contains("by Friday, 6 March")
                .endsWith("Ines");
    }

    @Test
    void isReadAsAPromiseForThatDay() {
        String draft = HoldingReply.draft("Will", WORD, LocalDate.of(2026, 3, 20), ZoneOffset.UTC, "Ines");
        TurnState state = TurnFold.over(Stories.in(List.of(
                                "== held | mail",
                                "Will > me: Could you send me the berth list?",
                                "me > Will [re 1]: I'll send it on Wednesday.",
                                "me > Will [re 1]: " + draft.replace("\n", " ")))
                        .get(0)
                        .events())
                .state();
        assertThat(state.debts())
                .singleElement()
                .satisfies(debt -> assertThat(debt.by())
                        .hasValueSatisfying(by -> assertThat(by.toLocalDate()).isEqualTo(LocalDate.of(2026, 3, 20))));
    }

    @Test
    void saysLessWhereThePromiseWasNoMoreThanYes() {
        Promised yes = new Promised(WORD.in(), WORD.at(), "");
        assertThat(HoldingReply.draft("", yes, LocalDate.of(2026, 3, 6), ZoneOffset.UTC, "Ines"))
                .startsWith("Hello,\n\non 2 March I said that I would see to this.");
    }
}
