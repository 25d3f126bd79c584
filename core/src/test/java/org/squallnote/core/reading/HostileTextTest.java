package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.squallnote.core.followup.ProposedTitle;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Span;

/** No text makes reading fail, and every finding points into the text. */
class HostileTextTest {

    private static final Reader READER = new Reader(
            new Me("Ines Calloway", java.util.Set.of("ines@merrowquay.example"), List.of()),
            false,
            org.squallnote.core.time.WorkingTime.officeHours(java.time.ZoneId.of("Europe/London")));
    private static final Party TILDA = new Party("Tilda Brandt", "tilda@brandt-cranes.example");
    private static final String[] PIECES = {
        "could you ",
        "please ",
        "by ",
        "the ",
        "31st ",
        "30/2 ",
        "29 February ",
        "99:99 ",
        "0/0 ",
        "by 0 ",
        "within 999999999 days ",
        "in -1 hours ",
        "next ",
        "week ",
        "Friday ",
        "?",
        "!",
        ".",
        "…",
        "\n",
        "\n\n",
        "> ",
        "-- \n",
        "\u0000",
        "\ud83d",
        "\ude00",
        "👍🏽",
        "\u202e",
        "İ",
        "ß",
        "ﬁ",
        "“",
        "\"",
        "'",
        "(",
        ")",
        "@",
        "@ines ",
        "@room ",
        "From: x\n",
        "On 1 wrote:\n",
        "until ",
        "before ",
        "and ",
        ",",
        "Tom ",
        "Ines ",
        "if you ",
        "have any questions ",
        "half past ",
        "quarter to ",
        "end of ",
        "a ",
        "1",
        "22.",
        " ",
        "\t",
        "\r\n",
        "\u00a0",
        "- ",
        "1. ",
        "to ",
        "between ",
        "or ",
        "first thing ",
        "lemme ",
        "gonna ",
        "days before ",
        "24 ",
        "25:00 "
    };

    @Test
    void randomTextsAreReadAndFindingsLieInside() {
        Random random = new Random(20260310);
        for (int round = 0; round < 4_000; round++) {
            StringBuilder text = new StringBuilder();
            int length = random.nextInt(60);
            for (int i = 0; i < length; i++) {
                text.append(PIECES[random.nextInt(PIECES.length)]);
            }
            Reading reading = READER.read(OtherVoicesTest.message(round % 2 == 0 ? "m" : "g", text.toString()));
            Span whole = new Span(0, text.length());
            List<Span> spans = new ArrayList<>(reading.hints());
            reading.asks().forEach(ask -> spans.addAll(List.of(ask.sentence(), ask.words(), ask.wanted())));
            reading.replyBy().filter(day -> !day.inSubject()).ifPresent(day -> spans.add(day.words()));
            reading.promises().forEach(promise -> spans.add(promise.words()));
            assertThat(spans).as(text.toString()).allMatch(whole::contains);
            assertThat(ProposedTitle.of(TILDA, "", "words", reading))
                    .as(text.toString())
                    .isNotBlank()
                    .hasSizeLessThanOrEqualTo(ProposedTitle.LONGEST);
        }
    }

    @Test
    void readingTwiceSaysTheSame() {
        Random random = new Random(7);
        for (int round = 0; round < 300; round++) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < 30; i++) {
                text.append(PIECES[random.nextInt(PIECES.length)]);
            }
            MessageToRead message = OtherVoicesTest.message("mm", text.toString());
            assertThat(READER.read(message)).isEqualTo(READER.read(message));
        }
    }

    @Test
    void overlongTextIsCutWithANotice() {
        String text = "Could you send me the plan by Friday? ".repeat(200_000);
        Reading reading = READER.read(OtherVoicesTest.message("m", text));
        assertThat(reading.cut()).isTrue();
        assertThat(reading.asksMe()).isTrue();
    }

    @Test
    void textsThatPunishBacktrackingEnd() {
        for (String piece : List.of(
                "could you please ",
                "we need it and Friday ",
                "10 days before ",
                "and ",
                "(((",
                "> > > ",
                "a.b.",
                "\"",
                "the end of the ",
                "by by by ",
                "x".repeat(50),
                ",",
                "Tom and ")) {
            Reading reading = READER.read(OtherVoicesTest.message("m", piece.repeat(100_000)));
            assertThat(reading.nature()).isNotNull();
        }
    }
}
