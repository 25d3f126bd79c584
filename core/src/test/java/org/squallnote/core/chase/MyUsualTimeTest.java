package org.squallnote.core.chase;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Answered;

class MyUsualTimeTest {

    private static final WorkingTime OFFICE = WorkingTime.officeHours(ZoneId.of("Europe/London"));
    private static final Instant MONDAY = Instant.parse("2026-03-02T09:00:00Z");

    /** Each day one question at nine, asked once more at ten, and answered at eleven. */
    @Test
    void ofSeveralThatOneAnswerAnswersTheFirstCounts() {
        List<Answered> all = new ArrayList<>();
        for (int day = 0; day < 5; day++) {
            Instant nine = MONDAY.plus(Duration.ofDays(day));
            for (int hour = 0; hour < 2; hour++) {
                all.add(new Answered(
                        "tilda@x.example",
                        new UUID(day, hour),
                        nine.plus(Duration.ofHours(hour)),
                        nine.plus(Duration.ofHours(2))));
            }
        }
        assertThat(UsualTime.mine(all, OFFICE)).contains(new UsualTime(Duration.ofHours(2), 5));
        assertThat(UsualTime.mine(all.subList(0, 6), OFFICE))
                .as("three answers say nothing yet")
                .isEmpty();
    }
}
