package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.time.WorkingTime;

class FollowUpRulesTest {

    private static final LocalDateTime FRIDAY_NOON = LocalDateTime.parse("2026-03-06T12:00");

    @ParameterizedTest
    @CsvSource({
        "2026-03-05, , true, LATE_FIRM",
        "2026-03-05, , false, LATE_FLEXIBLE",
        "2026-03-06, , true, SOON",
        "2026-03-06, 11:59, true, LATE_FIRM",
        "2026-03-06, 12:01, true, SOON",
        "2026-03-09, , true, SOON",
        "2026-03-10, , true, AHEAD",
    })
    void onlyAFirmDateThatIsLateIsAnAlarm(LocalDate day, LocalTime time, boolean firm, Standing expected) {
        ReplyBy replyBy = new ReplyBy(day, Optional.ofNullable(time), firm);

        assertThat(Standing.of(Optional.of(replyBy), FRIDAY_NOON, WorkingTime.officeHours(ZoneOffset.UTC)))
                .isEqualTo(expected);
    }

    @Test
    void withoutADateItIsUndated() {
        assertThat(Standing.of(Optional.empty(), FRIDAY_NOON, WorkingTime.officeHours(ZoneOffset.UTC)))
                .isEqualTo(Standing.UNDATED);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Tilda Brandt | Re: Crane quote for pontoon C | x | Answer Tilda about crane quote for pontoon C",
                "Brandt, Tilda | VAT return | x | Answer Tilda about VAT return",
                "Tilda Brandt | RE: Fwd:  | Can you call me? | Answer Tilda about can you call me?",
                "'' | '' | '' | Answer tilda",
                "Tilda | Merrow Quay regatta | x | Answer Tilda about Merrow Quay regatta",
            })
    void aTitleBeginsWithAVerb(String name, String subject, String words, String title) {
        assertThat(ProposedTitle.of(new Party(name, "tilda@cranefirm.example"), subject, words))
                .isEqualTo(title);
    }

    @Test
    void aLongTitleIsCutAtAWord() {
        String title = ProposedTitle.of(new Party("Tilda", "t@x.example"), "word ".repeat(60), "");

        assertThat(title).endsWith("word…").hasSizeLessThan(95);
    }
}
