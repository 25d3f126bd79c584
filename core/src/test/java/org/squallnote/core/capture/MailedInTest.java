package org.squallnote.core.capture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.message.Messages.MONDAY;
import static org.squallnote.core.message.Messages.TILDA;
import static org.squallnote.core.message.Messages.mine;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MailedInTest {

    @ParameterizedTest
    @CsvSource({
        "Fwd: Crane quote by Friday, Crane quote by Friday",
        "WG: AW: Plan, Plan",
        "Call Bo, Call Bo",
        "Fwd: , Look at what I mailed in",
        "'', Look at what I mailed in",
    })
    void theSubjectIsTheLineWithoutTheMarksOfForwarding(String subject, String line) {
        assertThat(MailedIn.line(subject)).isEqualTo(line);
    }

    @Test
    void onlyRecentMailToTheAddressIsOne() {
        assertThat(MailedIn.canBe(mine(TILDA, MONDAY), MONDAY.plus(Duration.ofDays(13))))
                .isTrue();
        assertThat(MailedIn.canBe(mine(TILDA, MONDAY), MONDAY.plus(Duration.ofDays(15))))
                .isFalse();
        assertThat(MailedIn.isFor(mine(TILDA, MONDAY), TILDA.address())).isTrue();
        assertThat(MailedIn.isFor(mine(TILDA, MONDAY), "")).isFalse();
        assertThat(MailedIn.isFor(mine(TILDA, MONDAY), "other@x.example")).isFalse();
    }
}
