package org.squallnote.core.thread;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.squallnote.core.message.Messages;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;

class LastDecidedTest {

    private static final Instant TEN = Instant.parse("2026-03-04T10:00:00Z");

    @Test
    void isMyLastMessageWhereNothingWasDecidedSince() {
        StoredMessage theirs = Messages.fromList(null);
        StoredMessage mine = Messages.mine(new Party("Tilda", "tilda@x.example"), TEN);
        assertThat(LastDecided.of(List.of(theirs))).isEmpty();
        assertThat(LastDecided.of(List.of(theirs, mine, Messages.mine(theirs.from(), TEN.minusSeconds(60)))))
                .contains(TEN);
    }
}
