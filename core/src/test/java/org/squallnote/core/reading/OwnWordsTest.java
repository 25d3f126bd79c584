package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.text.Span;

/** In each text the words KEEP are the writer's own, and what holds DROP is carried along. */
class OwnWordsTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "KEEP this.\n\nOn Tue, 10 Mar 2026 at 10:20, Ines Calloway <ines@merrowquay.example> wrote:\n> DROP",
                "KEEP this.\n\nOn Tue, Mar 10, 2026 at 10:20 AM Ines Calloway\n<ines@merrowquay.example> wrote:\n\n> DROP",
                "KEEP this.\n\nAm 10.03.2026 um 10:20 schrieb Ines Calloway:\n> DROP",
                "KEEP this.\n\nLe 10 mars 2026 à 10:20, Ines a écrit :\n> DROP",
                "KEEP this.\n\nOp 10 mrt. 2026 om 10:20 schreef Ines <ines@merrowquay.example>:\n> DROP",
                "KEEP this.\n\nIl giorno mar 10 mar 2026 alle ore 10:20 Ines ha scritto:\n> DROP",
                "KEEP this.\n\n-----Original Message-----\nFrom: Ines\nSent: Tuesday\nDROP",
                "KEEP this.\n\nFrom: Ines Calloway\nSent: Tuesday, 10 March 2026 10:20\nTo: Will\nSubject: Crane\n\nDROP",
                "KEEP this.\n\nVon: Ines\nGesendet: Dienstag\nAn: Will\nBetreff: Kran\n\nDROP",
                "KEEP this.\n\n________________________________\nFrom: Ines\nSent: Tuesday\n\nDROP",
                "KEEP this.\n\nBegin forwarded message:\n\nFrom: Ines\nDROP",
                "KEEP this.\n\n---------- Forwarded message ---------\nFrom: Ines\nDROP",
                "> DROP the question?\nKEEP the answer.\n> DROP another?\nKEEP another.",
                "IC> DROP the question?\nKEEP the answer.",
                "KEEP this.\n\n-- \nDROP Will Harker\nDROP Rigging",
                "KEEP this.\n\nKind regards,\nDROP Will\nDROP Harker Rigging Ltd",
                "KEEP this.\n\nKind regards, Yusuf\nDROP Harbour IT",
                "KEEP this.\n\nBest wishes, Anna-Lena van Berg\nDROP Harbour IT",
                "KEEP this.\n\nBest wishes, and KEEP that",
                "KEEP this.\n\nMany thanks\nDROP Will",
                "KEEP this.\n\nWill\nDROP Yard open Monday to Saturday",
                "KEEP this.\n\nW.\nDROP Sent from the ferry",
                "KEEP this.\n\nCheers, Will\n\nThis DROP e-mail is confidential and intended solely for the addressee.",
                "KEEP this.\n\nSent from my DROP phone",
                "KEEP this.\n\nWill\n\nPS: KEEP that too",
                "Hi Ines,\nKEEP this. Thanks for that.\nKEEP the rest.",
            })
    void ownAndCarried(String text) {
        OwnWords words = OwnWords.of(text, "Will Harker");
        int wanted = text.split("KEEP", -1).length;
        assertThat(words.own().split("KEEP", -1)).as(words.own()).hasSize(wanted);
        assertThat(words.own()).doesNotContain("DROP");
        assertThat(words.carried()).doesNotContain("KEEP");
    }

    @Test
    void aStretchIsFoundAgainInTheOwnWords() {
        String text = "\n\n  Hi,\n> When does it open?\ncould you send\nme the key?\n> old\n";
        OwnWords words = OwnWords.of(text);
        int from = text.indexOf("could");
        Span sentence = new Span(from, text.indexOf("key?") + 4);

        assertThat(words.places().of(sentence).orElseThrow().in(words.own())).isEqualTo("could you send\nme the key?");
        assertThat(words.places().of(new Span(text.indexOf("When"), text.indexOf("When") + 4)))
                .isEmpty();
    }

    /** Texts of a few own, quoted and empty lines, and every stretch of each. */
    @Test
    void whatIsFoundAgainAreTheSameWords() {
        Random random = new Random(7);
        List<String> parts = List.of("", "  ", "could you", " send it ", "> old", "> ", "Thanks");
        for (int i = 0; i < 200; i++) {
            String text = IntStream.range(0, 1 + random.nextInt(6))
                    .mapToObj(line -> parts.get(random.nextInt(parts.size())))
                    .collect(Collectors.joining("\n"));
            OwnWords words = OwnWords.of(text);
            OwnPlaces places = words.places();
            for (Span line : words.ownLines()) {
                String own = line.in(text).strip();
                int from = text.indexOf(own, line.fromInclusive());
                if (!own.isEmpty()) {
                    assertThat(places.of(new Span(from, from + own.length())).map(place -> place.in(words.own())))
                            .as(text)
                            .contains(own);
                }
            }
            assertThat(words.linesOf(OwnWords.Kind.QUOTED).stream()
                            .filter(line -> places.of(line).isPresent()))
                    .as(text)
                    .isEmpty();
        }
    }
}
