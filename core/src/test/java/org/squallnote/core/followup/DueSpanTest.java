package org.squallnote.core.followup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.time.ReplyBy;

class DueSpanTest {

    /** 2026-03-04 is a Wednesday, 2026-12-31 a Thursday, 2026-11-29 a Sunday. */
    @ParameterizedTest
    @CsvSource({
        "2026-03-04, 2026-03-03, LATE",
        "2026-03-04, 2026-03-04, TODAY",
        "2026-03-04, 2026-03-05, TOMORROW",
        "2026-03-04, 2026-03-06, THIS_WEEK",
        "2026-03-04, 2026-03-08, THIS_WEEK",
        "2026-03-04, 2026-03-09, NEXT_WEEK",
        "2026-03-04, 2026-03-15, NEXT_WEEK",
        "2026-03-04, 2026-03-16, AFTER_THAT",
        "2026-12-31, 2027-01-01, TOMORROW",
        "2026-12-31, 2027-01-03, THIS_WEEK",
        "2026-11-29, 2026-11-30, TOMORROW",
        "2026-11-29, 2026-12-01, NEXT_WEEK",
        "2026-11-28, 2026-11-29, TOMORROW",
    })
    void aDayIsInTheSpanThatPeopleSay(LocalDate today, LocalDate day, DueSpan span) {
        Optional<ReplyBy> replyBy = Optional.of(new ReplyBy(day, Optional.empty(), true));
        assertThat(DueSpan.of(replyBy, today.atTime(10, 0))).isEqualTo(span);
        assertThat(DueSpan.of(replyBy, today.atStartOfDay())).isEqualTo(span);
        assertThat(DueSpan.of(replyBy, today.atTime(23, 59))).isEqualTo(span);
    }

    @Test
    void aTimeOfTodayPasses() {
        LocalDateTime now = LocalDateTime.of(2026, 3, 4, 12, 0);
        assertThat(at(now, LocalTime.of(11, 59))).isEqualTo(DueSpan.LATE);
        assertThat(at(now, LocalTime.of(12, 0))).isEqualTo(DueSpan.TODAY);
        assertThat(DueSpan.of(Optional.empty(), now)).isEqualTo(DueSpan.UNDATED);
    }

    private static DueSpan at(LocalDateTime now, LocalTime time) {
        return DueSpan.of(Optional.of(new ReplyBy(now.toLocalDate(), Optional.of(time), false)), now);
    }
}
