package org.squallnote.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class AttendeesTest {

    @Test
    void areWhoIsInvitedAndWhoInvitesAlsoInFoldedLines() {
        assertThat(Attendees.of("BEGIN:VEVENT\r\nORGANIZER;CN=\"Otto; the pilot\":mailto:Otto@x.example\r\n"
                        + "ATTENDEE;CN=Tilda;PARTSTAT=ACCEPTED:mailto:tilda@bran\r\n dt.example\r\n"
                        + "ATTENDEE:urn:uuid:1\r\nDESCRIPTION:mailto:nobody@x.example\r\nEND:VEVENT"))
                .containsExactly("otto@x.example", "tilda@brandt.example");
        assertThat(Attendees.of("BEGIN:VEVENT\r\nEND:VEVENT")).isEmpty();
    }
}
