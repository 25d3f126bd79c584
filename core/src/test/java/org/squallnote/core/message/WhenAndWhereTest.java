package org.squallnote.core.message;

import static org.assertj.core.api.Assertions.assertThat;
import static org.squallnote.core.message.Messages.INES;
import static org.squallnote.core.message.Messages.MONDAY;
import static org.squallnote.core.message.Messages.TILDA;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class WhenAndWhereTest {

    private static final Set<String> MINE = Set.of(INES.address());

    @Test
    void aMailWasSentWhenItSaysSo() {
        Instant earlier = MONDAY.minus(Duration.ofDays(3));
        assertThat(SentTime.of(Optional.of(earlier), MONDAY, false)).isEqualTo(earlier);
        assertThat(SentTime.of(Optional.empty(), MONDAY, false)).isEqualTo(MONDAY);
    }

    @Test
    void nothingIsSentAfterItWasReceivedNorBeforeThereWasMail() {
        assertThat(SentTime.of(Optional.of(MONDAY.plusSeconds(90)), MONDAY, false))
                .isEqualTo(MONDAY);
        assertThat(SentTime.of(Optional.of(Instant.EPOCH), MONDAY, false)).isEqualTo(MONDAY);
    }

    @Test
    void theDateOfAFileMayBeAZoneOff() {
        Instant later = MONDAY.plus(Duration.ofHours(11));
        assertThat(SentTime.of(Optional.of(later), MONDAY, true)).isEqualTo(later);
        assertThat(SentTime.of(Optional.of(MONDAY.plus(Duration.ofDays(2))), MONDAY, true))
                .isEqualTo(MONDAY);
    }

    @Test
    void myMailIsOutgoingUnlessItIsANoteToMyself() {
        assertThat(Direction.ofMail(false, TILDA, List.of(INES), MINE)).isEqualTo(Direction.INCOMING);
        assertThat(Direction.ofMail(false, INES, List.of(TILDA), MINE)).isEqualTo(Direction.OUTGOING);
        assertThat(Direction.ofMail(false, INES, List.of(INES), MINE)).isEqualTo(Direction.INCOMING);
        assertThat(Direction.ofMail(true, INES, List.of(INES), MINE)).isEqualTo(Direction.OUTGOING);
    }

    @Test
    void largeBytesAreReadInPiecesAndSmallOnesWhole() throws Exception {
        byte[] bytes = {1, 2, 3, 4, 5};
        RawMail mail = RawMail.of(bytes);
        assertThat(mail.head(3)).containsExactly(1, 2, 3);
        assertThat(mail.head(9)).containsExactly(bytes);
        byte[] some = new byte[4];
        try (RawMail.Opened opened = mail.open()) {
            assertThat(opened.read(3, some, 1, 3)).isEqualTo(2);
            assertThat(some).containsExactly(0, 4, 5, 0);
            assertThat(opened.read(5, some, 0, 1)).isEqualTo(-1);
        }
        assertThat(mail.sha256()).isEqualTo("74f81fe167d99b4cb41d6d0ccda82278caee9f3e2f25d5e5a3936ff3dcec60d0");
    }
}
