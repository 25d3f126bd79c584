package org.squallnote.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.AnswerTo.Addressed;

class AnswerToTest {

    private static final Set<String> MINE = Set.of("ines@x.example");

    private static List<Party> parties(String... addresses) {
        return Arrays.stream(addresses).map(address -> new Party("", address)).toList();
    }

    private static Addressed message(String replyTo, String followupTo) {
        return new Addressed(
                false,
                new Party("", "tilda@y.example"),
                parties("ines@x.example", "bo@x.example"),
                parties("gus@x.example", "BO@x.example"),
                replyTo.isEmpty() ? List.of() : parties(replyTo),
                followupTo.isEmpty() ? List.of() : parties(followupTo, "ines@x.example"));
    }

    @Test
    void anAnswerGoesToItsWriterOrWhereThatWantsIt() {
        assertThat(AnswerTo.of(message("", ""), MINE, false, List.of(), List.of())
                        .to())
                .isEqualTo(parties("tilda@y.example"));
        assertThat(AnswerTo.of(message("office@y.example", ""), MINE, false, List.of(), List.of())
                        .to())
                .isEqualTo(parties("office@y.example"));
        assertThat(AnswerTo.of(message("ines@x.example", ""), MINE, false, List.of(), List.of())
                        .to())
                .isEqualTo(parties("tilda@y.example"));
    }

    @Test
    void anAnswerToAllGoesToEverybodyOnceAndNotToMe() {
        AnswerTo all = AnswerTo.of(message("", ""), MINE, true, List.of(), List.of());
        assertThat(all.cc()).isEqualTo(parties("bo@x.example", "gus@x.example"));
    }

    @Test
    void whereAnswersToAllAreWantedElsewhereTheyGoThereAlone() {
        AnswerTo all = AnswerTo.of(message("", "list@z.example"), MINE, true, List.of(), List.of());
        assertThat(all.to()).isEqualTo(parties("list@z.example"));
        assertThat(all.cc()).isEmpty();
        assertThat(AnswerTo.of(message("", "list@z.example"), MINE, false, List.of(), List.of())
                        .to())
                .isEqualTo(parties("tilda@y.example"));
    }

    @Test
    void copiesAreAddedAndNobodyGetsTwo() {
        AnswerTo answer = AnswerTo.of(
                message("", ""),
                MINE,
                true,
                parties("bo@x.example", "noor@x.example"),
                parties("noor@x.example", "secret@x.example"));
        assertThat(answer.cc()).isEqualTo(parties("bo@x.example", "gus@x.example", "noor@x.example"));
        assertThat(answer.bcc()).isEqualTo(parties("secret@x.example"));
    }

    @Test
    void goingOnFromMyOwnMessageGoesWhereItWent() {
        Addressed mine = new Addressed(
                true,
                new Party("", "ines@x.example"),
                parties("a@x.example"),
                parties("b@x.example"),
                List.of(),
                List.of());
        assertThat(AnswerTo.of(mine, MINE, false, List.of(), List.of()).to()).isEqualTo(parties("a@x.example"));
    }
}
